import { type Entry, liveEntries } from '../document';
import { inCut } from '../cutting';
import type { Plan } from '../planner';
import { figure, type Figure } from '../quantity';
import { materialOf } from '../standards';
import { shareIn } from './calibration';
import { WORN } from './edgeWear';
import { alikeBy, type Shown, spreadOf } from './lessons';
import { stepsById } from './stepsById';

/* What the shop has to show for itself: which sizes it held, at which feeds its tools broke the chips, how long its edges lasted. */

/** Sizes that were brought in on one lathe in one holding. */
export interface Held {
  readonly machine: string;
  readonly holding: string;
  readonly count: number;
  readonly landed: number;
  /** off the middle of the limits, and one standard deviation; from two sizes on */
  readonly mean?: Figure;
  readonly spread?: Figure;
}

/** What landed where, by lathe and holding, the most first. */
export const heldBy = (shown: readonly Shown[]): readonly Held[] =>
  alikeBy(shown, (s) => `${s.machine}/${s.holding}`)
    .map((of): Held => {
      const values = of.map((s) => s.off);
      return {
        machine: of[0].machine,
        holding: of[0].holding,
        count: of.length,
        landed: of.filter((s) => s.landed).length,
        ...(of.length > 1 && {
          mean: figure('length', 'meanOf', { values }, { step: 0.001 }),
          spread: figure('length', 'spreadOf', { values }, { step: 0.001 }),
        }),
      };
    })
    .toSorted((a, b) => b.count - a.count);

/** What the record says of a tolerance. */
export interface CanHold {
  /** sizes that were asked for as closely, or nearly */
  readonly count: number;
  /** of those, how many came within the tolerance about its middle */
  readonly within: number;
  /** where the true share lies in 19 of 20 */
  readonly low: number;
  readonly high: number;
  /** what the next one keeps within in 19 of 20, as a whole tolerance; from five sizes on */
  readonly least?: Figure;
}

/** Sizes that were wanted more than so many times as wide show nothing of a close one: less care was taken. @source judgement */
const AS_CLOSE = 2;
/** Fewer sizes than this show no spread that one could promise by. */
const ENOUGH = 5;

/**
 * What can I hold? Answered by the shop's own sizes, those alone that were wanted about as closely.
 * @param tolerance the whole of it, mm
 * @source prediction interval of a further value, Student's t: any textbook of statistics; interval of a share: Wilson 1927, from memory
 */
export function canHold(
  shown: readonly Shown[],
  { tolerance, machine, holding }: { readonly tolerance: number; readonly machine?: string | undefined; readonly holding?: string | undefined },
): CanHold {
  const alike = shown.filter(
    (s) =>
      s.tolerance <= AS_CLOSE * tolerance && (machine === undefined || s.machine === machine) && (holding === undefined || s.holding === holding),
  );
  const within = alike.filter((s) => Math.abs(s.off) <= tolerance / 2).length;
  const { low, high } = shareIn(within, alike.length);
  const values = alike.map((s) => s.off);
  return {
    count: alike.length,
    within,
    low,
    high,
    ...(alike.length >= ENOUGH && { least: figure('length', 'holdsNext', { values }, { step: 0.001 }) }),
  };
}

/** A cut that was taken at its feed, and whether it made strings. */
export interface CutTaken {
  readonly machine: string;
  readonly tool: string;
  readonly material: string;
  /** mm a turn; mm on radius, where that is known */
  readonly feed: number;
  readonly depth?: number;
  readonly strings: boolean;
  readonly minutes: number;
  /** its edge was found worn, and turned or changed */
  readonly worn: boolean;
}

/** The cuts of a job that was made, from its log. */
export function cutsIn(plan: Plan, log: readonly Entry[], machine: string): readonly CutTaken[] {
  const steps = stepsById(plan);
  const live = liveEntries(log);
  return live.flatMap((e): CutTaken[] => {
    const step = e.kind === 'done' && e.step !== null ? steps.get(e.step) : undefined;
    const feed = step?.figures['feed']?.value;
    if (step?.tool === undefined || feed === undefined) return [];
    const depth = step.figures['depth']?.value;
    const told = (symptom: string, remedy?: string) =>
      live.some(
        (o) =>
          o.kind === 'symptom' && o.step === e.step && o.piece === e.piece && o.symptom === symptom && (remedy === undefined || o.remedy === remedy),
      );
    return [
      {
        machine,
        tool: step.tool,
        material: plan.part.material,
        feed,
        ...(depth !== undefined && { depth }),
        strings: told('strings'),
        minutes: inCut(step.figures),
        worn: told(WORN.symptom, WORN.indexed),
      },
    ];
  });
}

/** What is known of a tool in a material: its chips, how it gives way, how long its edges last. */
export interface ToolRecord {
  readonly tool: string;
  readonly material: string;
  readonly cuts: number;
  /** feeds that broke the chip, and feeds that made strings, least and most, mm a turn */
  readonly broke?: readonly [least: number, most: number];
  readonly strings?: readonly [least: number, most: number];
  /** share of a cut that stays on */
  readonly spring?: Figure;
  /** edges that were turned or changed, and minutes in cut for each; with none only the minutes */
  readonly edges: number;
  readonly minutes: number;
}

const range = (values: readonly number[]): readonly [number, number] | undefined =>
  values.length > 0 ? [Math.min(...values), Math.max(...values)] : undefined;

/** What the record shows of each tool in each material, the most used first. */
export function toolsBy(cuts: readonly CutTaken[], shown: readonly Shown[]): readonly ToolRecord[] {
  return alikeBy(cuts, (c) => `${c.tool}/${c.material}`)
    .map((of): ToolRecord => {
      const [{ tool, material }] = of;
      const springs = shown.filter((s) => s.tool === tool && s.material === material).map((s) => s.spring);
      const broke = range(of.filter((c) => !c.strings).map((c) => c.feed));
      const strings = range(of.filter((c) => c.strings).map((c) => c.feed));
      return {
        tool,
        material: materialOf(material).name,
        cuts: of.length,
        ...(broke && { broke }),
        ...(strings && { strings }),
        ...(springs.length > 0 && {
          spring: figure('ratio', 'meanOf', { values: springs }, { step: 0.001, deviation: spreadOf(springs).deviation }),
        }),
        edges: of.filter((c) => c.worn).length,
        minutes: of.reduce((sum, c) => sum + c.minutes, 0),
      };
    })
    .toSorted((a, b) => b.cuts - a.cuts);
}
