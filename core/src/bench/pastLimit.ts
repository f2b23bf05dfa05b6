import { practice } from '../shop';
import type { Job } from '../document';
import type { Limits } from '../drawing';
import type { Reason } from '../finding';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { alike, atLeast, atMost, diameter, length, say, type Sentence, tidy, time } from '../quantity';
import { rowOf, thingOf } from '../ref';
import type { Advice } from '../sizing';
import { threadLimits, toleranceClass } from '../standards';
import type { Sized } from './sized';

/* What can still be done with a piece that was cut past a limit: nothing puts metal back, but not every piece past its drawing is lost. */

/** What was cut past: a size at the Bench, or one that belongs to no job. */
type Past = Pick<Sized, 'kind' | 'limits' | 'standsOff'> & Partial<Pick<Sized, 'of'>>;

interface AtStep {
  readonly step: Step;
  readonly plan: Plan;
  readonly job: Job;
}

/** What a retaining compound fills, mm on diameter. @source adhesive, common practice */
export const FILLS: readonly [least: number, most: number] = [0.02, 0.1];

/** How far a size is past its limit, mm on the size; nothing where it is not. */
function pastBy({ kind, limits, standsOff }: Past, advice: Advice): number | undefined {
  if (advice.stands !== 'past' || !advice.cold) return undefined;
  const size = standsOff ? standsOff.line + standsOff.towards * advice.cold.value * standsOff.slope : advice.cold.value;
  const by = kind === 'bore' || kind === 'depth' ? size - limits.max : limits.min - size;
  // read within its limits, and past them only by what is believed of its gauge: it is measured again first
  return by > 0 ? by : undefined;
}

/**
 * What can still be done, most to the piece first; empty where the size is not past. Each is for whoever drew it to allow.
 * @source common practice; classes by ISO 286, ISO 965 and ASME B1.1 as the tables hold them
 */
export function stillToBeDone(sized: Past, advice: Advice, at?: AtStep): readonly Reason[] {
  const by = pastBy(sized, advice);
  if (by === undefined || !advice.cold) return [];
  const row = at && rowOf(at.step.id);
  const ways = sized.standsOff
    ? taperWays(-advice.cold.value, sized)
    : sized.kind === 'thread'
      ? threadWays(by, sized, at?.plan)
      : sized.kind === 'length' || sized.kind === 'depth'
        ? lengthWays(by, sized, at?.plan)
        : diameterWays(by, advice.cold.value, sized, at && mateOf(at, row));
  return [...ways, another(at?.plan)].map((says): Reason => ({ rule: 'past', says, binds: row === undefined ? [] : [row] }));
}

interface MateThere {
  readonly piece: string;
  readonly measured: boolean;
}

function mateOf({ job, plan }: AtStep, row: string | undefined): MateThere | undefined {
  const mate = job.drawing.mates.find((m) => thingOf(m.of) === row);
  const piece = mate?.piece.trim() ?? '';
  return mate && { piece: piece === '' ? 'its mate' : piece, measured: plan.part.mates[mate.id]?.mate !== undefined };
}

function diameterWays(by: number, cold: number, { kind, limits }: Past, mate: MateThere | undefined): readonly Sentence[] {
  const bore = kind === 'bore';
  const off = tidy(Math.abs((limits.max + limits.min) / 2 - cold));
  const looser = looserClass(cold, limits, bore);
  const [made, other] = bore ? (['turned', 'larger'] as const) : (['bored', 'smaller'] as const);
  return [
    ...(looser
      ? [say`it still is ${looser.name}, ${diameter(looser.min, 0.001)} to ${diameter(looser.max, 0.001)}: if whoever drew it allows that`]
      : []),
    mate?.measured
      ? say`${mate.piece} is made: another one, ${made} ${length(off, 0.001)} ${other}, fits as this one was to`
      : say`${mate?.piece ?? 'its mate'}, if it is still to be made: ${made} ${length(off, 0.001)} ${other} than drawn it fits as it was to`,
    ...(by + FILLS[0] <= FILLS[1]
      ? [say`where nothing turns or slides on it: a retaining compound fills ${length(FILLS[0])} to ${length(FILLS[1])}; heat lets it go`]
      : []),
    bore
      ? say`bored out to ${diameter(tidy(limits.nominal + 2 * practice.sleeveWall), 0.1)} or more where its wall allows, a bush pressed in, then to size again`
      : say`turned down to ${diameter(tidy(limits.nominal - 2 * practice.sleeveWall), 0.1)} or less where that is strong enough, a sleeve pressed on, then to size again`,
  ];
}

/** The same letter of a looser grade that a size still lies in. */
function looserClass(
  cold: number,
  { nominal, max, min, from }: Limits,
  bore: boolean,
): { readonly name: string; readonly max: number; readonly min: number } | undefined {
  if (from !== 'class') return undefined;
  const own = letterOf(nominal, max, min, bore);
  for (let grade = (own?.grade ?? LOOSEST) + 1; own && grade <= LOOSEST; grade++) {
    const name = `${own.letter}${String(grade)}`;
    const of = toleranceClass(nominal, name);
    const at = of && { max: tidy(nominal + of.upper), min: tidy(nominal + of.lower) };
    if (at && atMost(cold, at.max) && atLeast(cold, at.min)) return { name: `${String(nominal)} ${name}`, ...at };
  }
  return undefined;
}

const LOOSEST = 11;
const LETTERS = ['h', 'g', 'f', 'e', 'd', 'js', 'j', 'k', 'm', 'n', 'p', 'r', 's'];

/** The class that limits are of. */
function letterOf(nominal: number, max: number, min: number, bore: boolean): { readonly letter: string; readonly grade: number } | undefined {
  for (const lower of LETTERS)
    for (let grade = 4; grade <= LOOSEST; grade++) {
      const letter = bore ? lower.toUpperCase() : lower;
      const of = toleranceClass(nominal, `${letter}${String(grade)}`);
      if (of && alike(nominal + of.upper, max) && alike(nominal + of.lower, min)) return { letter, grade };
    }
  return undefined;
}

/** A shim where it is short; where a shoulder lies too deep, the face that it is measured from may go back. */
function lengthWays(by: number, { kind }: Past, plan: Plan | undefined): readonly Sentence[] {
  const overall = plan?.part.characteristics.find((c) => c.id === 'overall')?.limits;
  const spare = overall && (overall.max - overall.min) / 2;
  return [
    ...(kind === 'depth'
      ? [
          spare !== undefined && atMost(by, spare)
            ? say`at least ${length(by, 0.001)} off the face it is measured from brings it in; over all may lose ${length(spare, 0.001)} from its middle`
            : say`at least ${length(by, 0.001)} off the face it is measured from brings it in, where the length over all may lose that`,
        ]
      : []),
    say`a shim of at least ${length(by, 0.001)} behind it, where it is put together with one`,
  ];
}

/** How far it goes past its line, along it: its shoulder or its mouth goes back by that. */
const taperWays = (past: number, { kind }: Past): readonly Sentence[] => [
  kind === 'bore'
    ? say`${length(past)} off its mouth brings the plug back to its line, where the length allows`
    : say`${length(past)} off the shoulder behind it brings it back to its line, where the length allows`,
];

/** Looser classes of the same thread. */
const LOOSER: readonly (readonly [of: RegExp, to: readonly string[]])[] = [
  [/-\d[a-h](?:\d[a-h])?/, ['-6g', '-8g']],
  [/-[23]A/, ['-2A', '-1A']],
];

function threadWays(by: number, { of }: Past, plan: Plan | undefined): readonly Sentence[] {
  const thread = plan?.part.characteristics.find((c) => c.id === of);
  const own = thread?.pitchDiameter;
  const text = thread?.text ?? '';
  const at = own && own.min - by;
  const looser = LOOSER.flatMap(([is, to]) => (is.test(text) ? to.map((c) => text.replace(is, c)) : [])).find((name) => {
    const read = threadLimits(name);
    return read.ok && at !== undefined && name !== text && read.pitchDiameter.min !== null && atLeast(at, read.pitchDiameter.min);
  });
  return [
    ...(looser === undefined ? [] : [say`on its pitch line it still is ${looser}: if whoever drew it allows that`]),
    say`a nut or a socket tapped tight for it, by a tap that cuts small, or single pointed to fit`,
  ];
}

/** What a new one costs. */
function another(plan: Plan | undefined): Sentence {
  const minutes = plan?.routes[0]?.setups.reduce((sum, s) => sum + s.minutes.value, 0);
  return minutes === undefined ? say`another piece` : say`another piece: ${time(minutes)} of work`;
}
