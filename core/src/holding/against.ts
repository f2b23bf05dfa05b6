import { gripHolds } from '../cutting';
import type { Holding } from '../document';
import type { Finding, FindingCode } from '../finding';
import { diameter, exceeds, fallsShort, force, length, PLACE, ratio, say, spindleSpeed, tidy } from '../quantity';
import { takesForm, grips, isChuck, mmOf, practice } from '../shop';
import { gripOf } from './grip';
import type { Held } from './held';
import { runoutOf, type RunoutPart } from './runout';
import { squeezeOf } from './squeeze';
import { pushedAside } from './standingOut';
import type { Supporting } from './supports';

/* What speaks against a way of holding: its kind, its range, stick-out, spring, grip, room, runout. */

/** A holding that is no chuck: what it wants first. */
export function otherKind(held: Held, holding: Holding): Finding | undefined {
  const stop = (code: FindingCode, says: Finding['says'], why: Finding['why']): Finding => ({
    code,
    about: held.setup,
    severity: 'stop',
    says,
    why,
    mends: [],
  });
  switch (holding.kind) {
    case 'centres':
      if (held.carried === 'centres') return undefined;
      return stop(
        'holding-needs-centres',
        say`${holding.name} want a centre hole in both ends; this end of the work has none yet`,
        say`face and centre both ends in a chuck first`,
      );
    case 'arbor':
    case 'cushionedArbor': {
      const [from, to] = [mmOf(holding.inside?.from), mmOf(holding.inside?.to)];
      if (held.bore === undefined)
        return stop(
          'holding-needs-bore',
          say`${holding.name} holds by a finished through bore; there is none yet`,
          say`bored in a first setup, then turned true to it`,
        );
      if (fallsShort(held.bore, from, PLACE) || exceeds(held.bore, to, PLACE))
        return stop('holding-range', say`${holding.name} does not open to ${diameter(held.bore)}`, say`it takes ${length(from)} to ${length(to)}`);
      return undefined;
    }
    case 'faceplate':
      if (held.carried === 'plate') return undefined;
      return stop(
        'holding-needs-plate',
        say`${holding.name} clamps plates by their back; this is ${length(held.length)} long at ${diameter(held.largest)}`,
        say`for work wider than long, on three points of one height`,
      );
    default:
      return undefined;
  }
}

export function doesNotClose(held: Held, holding: Holding): Finding | undefined {
  if (!isChuck(holding)) return undefined;
  if (!grips(holding, held.diameter))
    return {
      code: 'holding-range',
      about: held.setup,
      severity: 'stop',
      says: say`${holding.name} does not close on ${length(held.diameter)}`,
      why: holding.sizes?.length
        ? say`none of its ${holding.sizes.length} collets is of that size: the next is ${nearestCollet(holding, held.diameter)}`
        : say`it takes ${length(mmOf(holding.outside?.from))} to ${length(mmOf(holding.outside?.to))}`,
      mends: [],
    };
  return takesForm(holding, held.form)
    ? undefined
    : {
        code: 'holding-form',
        about: held.setup,
        severity: 'stop',
        says: say`${holding.name} does not hold a ${held.form} bar`,
        why: say`three jaws or a round collet touch it on corners: four jaws, or a collet of its form`,
        mends: [],
      };
}

const nearestCollet = (holding: Holding, diameter: number): string =>
  holding.sizes?.toSorted((a, b) => Math.abs(mmOf(a) - diameter) - Math.abs(mmOf(b) - diameter))[0]?.text ?? '';

export function stickOutFindings(
  setup: string,
  holding: Holding,
  carried: boolean,
  slender: number,
  out: number,
  follow: boolean,
): readonly Finding[] {
  const says = say`${length(out)} sticks out of ${holding.name}: ${ratio(slender, 0.1)} diameters`;
  const found = (severity: Finding['severity'], why: Finding['why']): readonly Finding[] => [
    { code: 'stick-out', about: setup, severity, says, why, mends: [] },
  ];
  if (follow && slender > 10) return found('note', say`with a follow rest behind the tool: expect to lighten every cut`);
  if (slender > 12 || (slender > 10 && !carried))
    return found('caution', say`over 10 to 12 diameters a follow rest or steady is wanted; expect to lighten every cut`);
  if (carried || slender <= 3) return [];
  return slender <= 5
    ? found('note', say`from 3 to 5 the cut is lightened`)
    : found('caution', say`over 5 diameters the free end wants the tailstock centre`);
}

/** The work as one plain bar in this holding: how far a light cut bends it where it is weakest. */
export function bends(held: Held, holding: Holding, support: Supporting | undefined, out: number): readonly Finding[] {
  if (!(out > 1) || !(held.diameter > 0)) return [];
  const centre = holding.kind === 'centres' ? holding : support?.kind === 'centre' ? support.item : support?.centre;
  const spring = pushedAside(
    { holding, centre, diameter: held.diameter, modulus: held.modulus },
    out,
    support?.kind === 'followRest' ? support.item : undefined,
  );
  return spring.value <= practice.bendsFrom
    ? []
    : [
        {
          code: 'bends',
          about: held.setup,
          severity: 'caution',
          says: say`a push of ${force(practice.lightPush, 1)}, that of a light finishing cut, bends it by ${spring} on radius`,
          why: say`more than a size: a centre, a rest, less stick-out`,
          mends: [],
        },
      ];
}

/** Grip too short, slipping, squeezing, too slow. */
export function gripFindings(held: Held, holding: Holding, supported: boolean, grip: number, out: number): readonly Finding[] {
  if (!isChuck(holding)) return [];
  const findings: Finding[] = [];
  const about = held.setup;
  if (exceeds(grip, held.room, PLACE))
    findings.push({
      code: 'grip-too-long',
      about,
      severity: 'caution',
      says: say`${length(grip)} of grip is asked; there are ${length(held.room)} to hold`,
      why: say`what is beyond them is air or the part itself`,
      mends: [],
    });
  const tiny = grip < Math.min(practice.shortGrip, held.diameter / 2);
  // wanted is a diameter, or the length of the jaw where that is less
  const wanted = Math.min(held.diameter, mmOf(holding.jaw?.length, practice.jawLong));
  // corners knock: a broken cut levers it out
  const broken = held.form === 'square' || held.form === 'hex';
  if ((!supported || tiny) && held.carried === undefined && fallsShort(grip, wanted, PLACE) && (broken || out > held.diameter || tiny))
    findings.push({
      code: 'short-grip',
      about,
      severity: 'note',
      says: tiny
        ? say`only ${length(grip)} of grip on ${diameter(held.diameter)}`
        : say`${length(grip)} of grip on ${diameter(held.diameter)} is under one diameter`,
      why: tiny
        ? supported
          ? say`a short grip: seated back against the jaws, a stop or parallels; what carries the other end is its fail-safe; light cuts`
          : say`a short grip: seated back against the jaws, a stop or parallels, a plug or a centre behind it as a fail-safe; light cuts`
        : say`it may rattle out under a heavy or broken cut: a centre up as a fail-safe, or lighter cuts`,
      mends: [],
    });
  const hold = gripOf(holding, held.diameter, held.finished);
  if (hold) {
    const speed = Math.min(held.wantsSpeed, holding.maxSpeed);
    const holds = gripHolds(hold, speed);
    if (holds.value < held.pull)
      findings.push({
        code: 'grip-slips',
        about,
        cause: about,
        severity: 'caution',
        says: say`at ${spindleSpeed(Math.round(speed))} ${holding.name} holds ${holds}, half of what would slip; a light roughing cut pulls ${force(held.pull, 10)}`,
        why: say`slower, a longer jaw, a centre behind it, or lighter cuts`,
        mends: [],
      });
  }
  const { jaw } = holding;
  const wall = held.wall && jaw && { ...held.wall, long: Math.min(held.wall.long, grip) };
  const squeezed = wall && squeezeOf(holding, wall, held.modulus);
  if (jaw && wall && squeezed)
    findings.push({
      code: 'squeezes',
      about,
      severity: 'caution',
      says: say`${holding.name} squeezes a wall of ${length(wall.outer - wall.inner)} at ${diameter(2 * wall.outer)} out of round by ${squeezed} on radius, even lightly tightened`,
      why: say`${jaw.count} jaws leave as many flats when it is let go: a light, full-circle grip, soft jaws bored to the size, or an arbor`,
      mends: [],
    });
  return findings;
}

/** Room for the tool beside the jaws, and the swing. */
export function roomFindings(held: Held, holding: Holding): readonly Finding[] {
  const close: readonly Finding[] =
    !isChuck(holding) || held.clear === undefined || held.clear >= practice.toolClear
      ? []
      : [
          {
            code: 'clearance',
            about: held.setup,
            severity: 'caution',
            says: say`the last cut comes within ${length(Math.max(0, held.clear), 0.1)} of the jaws`,
            why: say`tool, holder and carriage must clear them at every point of the travel: less grip, or by hand first`,
            mends: [],
          },
        ];
  const over = mmOf(held.machine.swingOverSlide, Infinity);
  return exceeds(held.largest, over, PLACE)
    ? [
        ...close,
        {
          code: 'swing',
          about: held.setup,
          severity: 'stop',
          says: say`${diameter(held.largest)} does not swing over the cross slide, which clears ${diameter(over)}`,
          why: say`the carriage cannot pass under it`,
          mends: [],
        },
      ]
    : close;
}

/** Relations to what was made in another setup: how likely this holding keeps them. */
export function keepFindings(held: Held, holding: Holding, grip: number): readonly Finding[] {
  return held.keep.flatMap((relation): readonly Finding[] => {
    const { expected, within } = runoutOf(partsOf(holding, relation.faces, grip));
    const chance = within(relation.limit);
    if (chance.value >= 0.95) return [];
    return [
      {
        code: 'runout',
        about: held.setup,
        severity: 'caution',
        says: say`${relation.words} within ${length(relation.limit, 0.001)}: turned round here it runs out up to ${expected} TIR; ${Math.round(100 * chance.value)} of 100 chuckings are within it`,
        why:
          holding.kind === 'fourJaw'
            ? say`dialled with more patience it comes nearer; or turn both in one chucking`
            : say`dial it in a four-jaw, bored soft jaws, a collet or an arbor; or turn both in one chucking`,
        mends: [],
      },
    ];
  });
}

/**
 * What a re-chucking adds up of. A face that is not seated on another tilts by the runout of the chuck over the length that it grips: a wide face shows more of it.
 * @source common practice
 */
export function partsOf(holding: Holding, faces?: number, grip = 0): readonly RunoutPart[] {
  const tilts = faces !== undefined && (holding.kind === 'threeJaw' || holding.kind === 'fourJaw' || holding.kind === 'collet');
  const lever = tilts ? Math.max(1, faces / Math.max(1, grip)) : 1;
  return [
    { words: holding.name, tir: tidy(mmOf(holding.trueWithin) * lever) },
    { words: 'spindle and cut', tir: practice.sameChucking },
  ];
}
