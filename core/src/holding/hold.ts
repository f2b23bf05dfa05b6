import type { Bar, Choice, Holding, Machine, Shop } from '../document';
import type { Finding, Reason } from '../finding';
import { diameter, type Figure, figure, force, length, ratio, say, spindleSpeed } from '../quantity';
import { gripHolds } from '../cutting';
import { type Beam, complianceAt } from '../mechanics';
import { forms, grips, isChuck, mmOf } from '../shop';
import { gripOf } from './grip';
import { supportFindings, type Supporting, supportKind, type SupportKind, supportsOf } from './supports';
import { runoutOf, type RunoutPart, SAME_CHUCKING } from './runout';
import { squeezeOf, type Wall } from './squeeze';

export interface Support {
  readonly item: string;
  readonly kind: SupportKind;
  /** z, and how far that is from the free face, mm */
  readonly at: number;
  readonly from: number;
}

/** One way of holding for one setup, weighed. */
export interface HoldingChoice {
  readonly setup: string;
  readonly holding: string;
  readonly support: readonly Support[];
  readonly grip: Figure;
  readonly stickOut: Figure;
  readonly score: Figure;
  readonly because: readonly Reason[];
  readonly findings: readonly Finding[];
}

/** A relation of the drawing that this setup has to keep to what was made in another one, its limit a total indicator reading, mm. */
export interface ToKeep {
  readonly id: string;
  readonly words: string;
  readonly limit: number;
}

/** What is to be held, and for what. Lengths in mm. */
export interface Held {
  readonly setup: string;
  /** what the jaws close on */
  readonly diameter: number;
  readonly form: Bar['form'];
  /** a finished surface, which hard jaws mark */
  readonly finished: boolean;
  /** most that can be gripped */
  readonly room: number;
  readonly stickOut: (holding: Holding) => Figure;
  readonly grip: (holding: Holding) => Figure;
  /** z of the free face, where a centre would stand */
  readonly face: number;
  readonly centreAllowed: boolean;
  /** a drawn centre hole in that face */
  readonly centreDrawn: boolean;
  /** a hole to be made at the free end, and its depth */
  readonly hole: number | undefined;
  /** a through bore made already, to hold it by */
  readonly bore: number | undefined;
  readonly length: number;
  readonly largest: number;
  /** the thinnest wall under the jaws, where it is hollow */
  readonly wall: Wall | undefined;
  /** N/mm2 */
  readonly modulus: number;
  readonly machine: Machine;
  /** speed that the tool would take at the smallest diameter turned here, rev/min */
  readonly wantsSpeed: number;
  /** N at the gripped surface of a light roughing cut, for slipping */
  readonly pull: number;
  readonly keep: readonly ToKeep[];
}

/**
 * Every holding of the shop, alone and with each support; best first. Nothing is left out: what cannot be used says why.
 */
export function weighHoldings(held: Held, shop: Shop): readonly HoldingChoice[] {
  const options = shop.holdings
    .filter((h) => !isSupport(h))
    .flatMap((holding) => (isChuck(holding) ? supportsOf(held, shop) : [undefined]).map((support) => weigh(held, holding, support)));
  return options.toSorted((a, b) => b.score.value - a.score.value);
}

const isSupport = (holding: Holding) => supportKind[holding.kind] !== undefined;

function weigh(held: Held, holding: Holding, support: Supporting | undefined): HoldingChoice {
  const [grip, stickOut] = [held.grip(holding), held.stickOut(holding)];
  const slender = stickOut.value / held.diameter;
  const carried = support?.kind === 'centre' || support?.kind === 'followRest';
  const stop = otherKind(held, holding) ?? doesNotClose(held, holding);
  const findings: Finding[] = [
    ...(stop ? [stop] : []),
    ...(isChuck(holding)
      ? [...stickOutFindings(held.setup, holding, carried, slender, stickOut.value), ...bends(held, holding, support, stickOut.value)]
      : []),
    ...(support ? supportFindings(held, support, stickOut.value) : []),
    ...(stop ? [] : [...gripFindings(held, holding, support !== undefined, grip.value, stickOut.value), ...roomFindings(held)]),
  ];
  const because = reasonsOf(held, holding, support, slender, stickOut.value);
  const kept = keepFindings(held, holding);
  findings.push(...kept);
  const cautions = findings.reduce((sum, f) => sum + (f.severity === 'stop' ? 10 : f.severity === 'caution' ? 1 : 0.1), 0);
  const score = figure('ratio', 'score', {
    runout: mmOf(holding.trueWithin),
    weight: held.finished ? 1 : 0.1,
    marks: holding.marks && held.finished ? 1 : 0,
    cautions,
    effort: (effort[holding.kind] ?? 2) + (support ? (support.kind === 'centre' ? 1 : 2) : 0),
  });
  return { setup: held.setup, holding: holding.id, support: standing(held, support), grip, stickOut, score, because, findings };
}

/** Things to change, bore or dial before a holding is ready. @source common practice */
const effort: Readonly<Partial<Record<Holding['kind'], number>>> = { threeJaw: 0, collet: 1, softJaws: 2, softCollet: 2, splitBush: 2, fourJaw: 3 };

const standing = (held: Held, support: Supporting | undefined): readonly Support[] =>
  support
    ? [...(support.centre ? [support.centre] : []), support.item].map(({ id, kind }) => ({
        item: id,
        kind: supportKind[kind] ?? 'centre',
        at: support.at,
        from: Math.abs(support.at - held.face),
      }))
    : [];

/** A holding that is no chuck: what it wants first. */
function otherKind(held: Held, holding: Holding): Finding | undefined {
  const stop = (code: string, says: Finding['says'], why: Finding['why']): Finding => ({
    code,
    about: held.setup,
    severity: 'stop',
    says,
    why,
    mends: [],
  });
  switch (holding.kind) {
    case 'centres':
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
      if (held.bore < from - 1e-6 || held.bore > to + 1e-6)
        return stop('holding-range', say`${holding.name} does not open to ${diameter(held.bore)}`, say`it takes ${length(from)} to ${length(to)}`);
      return stop(
        'holding-by-hand',
        say`${holding.name} would hold it by its bore of ${diameter(held.bore)}`,
        say`the route here grips the outside: plan this end as an own step, true within ${length(mmOf(holding.trueWithin), 0.001)} to the bore`,
      );
    }
    case 'faceplate':
      return stop(
        'holding-needs-plate',
        say`${holding.name} clamps plates by their back; this is ${length(held.length)} long at ${diameter(held.largest)}`,
        say`for work wider than long, on three points of one height`,
      );
    default:
      return undefined;
  }
}

function doesNotClose(held: Held, holding: Holding): Finding | undefined {
  if (!grips(holding, held.diameter))
    return {
      code: 'holding-range',
      about: held.setup,
      severity: 'stop',
      says: say`${holding.name} does not close on ${length(held.diameter)}`,
      why: say`it takes ${length(mmOf(holding.outside?.from))} to ${length(mmOf(holding.outside?.to))}`,
      mends: [],
    };
  return forms(holding, held.form)
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

function stickOutFindings(setup: string, holding: Holding, carried: boolean, slender: number, out: number): readonly Finding[] {
  const says = say`${length(out)} sticks out of ${holding.name}: ${ratio(slender, 0.1)} diameters`;
  const found = (severity: Finding['severity'], why: Finding['why']): readonly Finding[] => [
    { code: 'stick-out', about: setup, severity, says, why, mends: [] },
  ];
  if (slender > 12 || (slender > 10 && !carried))
    return found('caution', say`over 10 to 12 diameters a follow rest or steady is wanted; expect to lighten every cut`);
  if (carried || slender <= 3) return [];
  return slender <= 5
    ? found('note', say`from 3 to 5 the cut is lightened`)
    : found('caution', say`over 5 diameters the free end wants the tailstock centre`);
}

/** A light finishing cut pushes about this much sideways, N. @source Kienzle with a small nose, common practice */
const LIGHT_PUSH = 30;
/** What a light cut may bend the work, on radius, mm, before it is told. @source judgement */
const BENDS = 0.1;

/** The work as one plain bar in this holding: how far a light cut bends it where it is weakest. */
function bends(held: Held, holding: Holding, support: Supporting | undefined, out: number): readonly Finding[] {
  if (!(out > 1) || !(held.diameter > 0)) return [];
  const centre = support?.kind === 'centre' ? support.item : support?.centre;
  const beam: Beam = {
    stretches: [{ from: 0, to: out, diameter: held.diameter }],
    modulus: held.modulus,
    clamp: { lateral: holding.lateral, angular: holding.angular },
    rests: centre ? [{ at: out, stiffness: centre.lateral }] : [],
  };
  const behind = (x: number) => Math.max(0.1, x - 4);
  const at = (x: number): number =>
    complianceAt(support?.kind === 'followRest' ? { ...beam, rests: [...beam.rests, { at: behind(x), stiffness: support.item.lateral }] } : beam, x);
  const give = Math.max(at(out), at(0.6 * out));
  const spring = figure('length', 'spring', { F: LIGHT_PUSH, give: 1000 * give }, { step: 0.01 });
  return spring.value <= BENDS
    ? []
    : [
        {
          code: 'bends',
          about: held.setup,
          severity: 'caution',
          says: say`a push of ${force(LIGHT_PUSH, 1)}, that of a light finishing cut, bends it by ${spring} on radius`,
          why: say`more than a size: a centre, a rest, less stick-out`,
          mends: [],
        },
      ];
}

/** Grip too short, slipping, squeezing, too slow. */
function gripFindings(held: Held, holding: Holding, supported: boolean, grip: number, out: number): readonly Finding[] {
  const findings: Finding[] = [];
  const about = held.setup;
  if (grip > held.room + 1e-6)
    findings.push({
      code: 'grip-too-long',
      about,
      severity: 'caution',
      says: say`${length(grip)} of grip is asked; there are ${length(held.room)} to hold`,
      why: say`what is beyond them is air or the part itself`,
      mends: [],
    });
  if (!supported && grip < held.diameter && out > held.diameter)
    findings.push({
      code: 'short-grip',
      about,
      severity: 'note',
      says: say`${length(grip)} of grip on ${diameter(held.diameter)} is under one diameter`,
      why: say`it may rattle out under a heavy or broken cut: a centre up as a fail-safe, or lighter cuts`,
      mends: [],
    });
  const hold = gripOf(holding, held.diameter);
  if (hold) {
    const speed = Math.min(held.wantsSpeed, holding.maxSpeed);
    const holds = gripHolds(hold, speed);
    if (holds.value < held.pull)
      findings.push({
        code: 'grip-slips',
        about,
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

/** Swing and bed. */
function roomFindings(held: Held): readonly Finding[] {
  const over = mmOf(held.machine.swingOverSlide, Infinity);
  return held.largest > over + 1e-6
    ? [
        {
          code: 'swing',
          about: held.setup,
          severity: 'stop',
          says: say`${diameter(held.largest)} does not swing over the cross slide, which clears ${diameter(over)}`,
          why: say`the carriage cannot pass under it`,
          mends: [],
        },
      ]
    : [];
}

/** Relations to what was made in another setup: how likely this holding keeps them. */
function keepFindings(held: Held, holding: Holding): readonly Finding[] {
  return held.keep.flatMap((relation): readonly Finding[] => {
    const { expected, within } = runoutOf(partsOf(holding));
    const chance = within(relation.limit);
    if (chance.value >= 0.95) return [];
    return [
      {
        code: 'runout',
        about: held.setup,
        severity: 'caution',
        says: say`${relation.words} within ${length(relation.limit, 0.001)}: turned round here it runs out up to ${expected} TIR; ${Math.round(100 * chance.value)} of 100 chuckings are within it`,
        why: say`dial it in a four-jaw, bored soft jaws, a collet or an arbor; or turn both in one chucking`,
        mends: [],
      },
    ];
  });
}

/** What a re-chucking adds up of. */
export const partsOf = (holding: Holding): readonly RunoutPart[] => [
  { words: holding.name, tir: mmOf(holding.trueWithin) },
  { words: 'spindle and cut', tir: SAME_CHUCKING },
];

function reasonsOf(held: Held, holding: Holding, support: Supporting | undefined, slender: number, out: number): readonly Reason[] {
  const binds = [held.setup];
  const because: Reason[] = [];
  if (holding.marks && held.finished)
    because.push({ rule: 'soft-pads', says: say`hard jaws mark a finished surface: copper or aluminium pads under them`, binds });
  const carried = {
    centre: 'the tailstock centre carries the free end',
    followRest: 'the follow rest goes along behind the tool',
    steady: 'the steady carries the free end while it is drilled and bored',
  };
  because.push({
    rule: 'stick-out',
    says: support
      ? say`${length(out)} out is ${ratio(slender, 0.1)} diameters: ${carried[support.kind]}`
      : say`${length(out)} out is ${ratio(slender, 0.1)} diameters`,
    binds,
  });
  because.push(
    held.finished
      ? { rule: 'moved-is-lost', says: say`turned round it runs true within ${length(mmOf(holding.trueWithin), 0.001)} TIR`, binds }
      : { rule: 'one-chucking', says: say`what is turned in one chucking runs true to itself`, binds },
  );
  if (holding.maxSpeed < held.wantsSpeed)
    because.push({
      rule: 'speed-limit',
      says: say`allows ${spindleSpeed(holding.maxSpeed)} of the ${spindleSpeed(Math.round(held.wantsSpeed))} that the tool would take`,
      binds,
    });
  return because;
}

/** The choice of a person for this setup, else the best that is not forbidden, else the best. */
export function takeHolding(options: readonly HoldingChoice[], choice: Extract<Choice, { kind: 'hold' }> | undefined): HoldingChoice | undefined {
  const free = options.find((o) => o.findings.every((f) => f.severity !== 'stop')) ?? options[0];
  if (!choice) return free;
  const asked = choice.support.map((x) => x.item);
  const like = options.filter((o) => o.holding === choice.holding);
  const taken =
    like.find((o) => o.support.length === asked.length && o.support.every((x) => asked.includes(x.item))) ??
    like.find((o) => o.support.length > 0 === asked.length > 0) ??
    like[0] ??
    free;
  return taken && { ...taken, support: taken.support.map((x) => placed(taken, x, choice)) };
}

/** A steady is placed by its distance from the free face; centres stand in it. */
function placed(taken: HoldingChoice, support: Support, choice: Extract<Choice, { kind: 'hold' }>): Support {
  const typed = choice.support.find((x) => x.item === support.item)?.at;
  const at = typed && mmOf(typed, NaN);
  if (at === undefined || !(at > 0) || support.from === 0) return support;
  const inwards = taken.setup.startsWith('left') ? 1 : -1;
  return { ...support, from: at, at: support.at + inwards * (at - support.from) };
}
