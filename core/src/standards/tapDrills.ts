import { exceeds, fallsShort, PLACE, tidy } from '../quantity';
import { type Drill, drillNamed } from './drills';
import type { LookedUp } from './fits';
import { metricTapDrills, unifiedTapDrills } from './tapDrills.table';
import type { Thread } from './thread';
import { threadLimits } from './threads';

export interface TapDrill extends Drill {
  /** of full thread, 100 being 0.75 H a side: (D - drill) / 1.299038 P */
  readonly percent: number;
  /** against the minor diameter of the class: 'tight' is under its least, 'open' over its largest, null where the class has no limits here */
  readonly within: 'in' | 'tight' | 'open' | null;
  /** the one that the usual list names */
  readonly standard: boolean;
}

export interface TapDrillsAsked {
  /** what lies in the drawer: `drillIndex` of a set, or a shop's own */
  readonly drills: readonly Drill[];
  /** wanted percentage of thread */
  readonly percent?: number;
  /** id in the material table; tough stock is tapped more open */
  readonly material?: string;
}

type Form = Pick<Thread, 'nominal' | 'pitch' | 'family' | 'basic'>;

/** What 100 % of thread takes off the nominal, mm: 1.5 H for 60 degrees, twice the depth of the form for the rounded ones. @source definition */
export const fullThreadOf = ({ pitch, family, nominal, basic }: Form): number =>
  family === 'metric' || family === 'unified' ? 1.299038 * pitch : nominal - (basic.minor ?? nominal);

/** Percentage of full thread that a drill (mm) leaves. @source definition */
export const percentOfThread = (thread: Form, drill: number): number => (100 * (thread.nominal - drill)) / fullThreadOf(thread);

/** Stock that is tapped towards the largest minor diameter of the class. @source tough-tap, common practice */
const tough: readonly string[] = ['stainless-303', 'stainless-304', 'stainless-316', 'alloy-steel', 'silver-steel', 'titanium'];
const soft: readonly string[] = ['aluminium', 'aluminium-7075', 'brass'];

/**
 * Drills for a thread, best first: of those in class the one nearest to what is wanted, then the rest by how far off they are. A thread
 * without a class, or of a bolt, is drilled for 6H or 2B.
 * @source DIN 336 and the customary list of US handbooks, from memory; order by `tough-tap`, common practice
 * @example tapDrills('M10', { drills: drillIndex('metric') }).drills[0].name // '8.5'
 */
export function tapDrills(
  designation: string,
  { drills, percent, material }: TapDrillsAsked,
): LookedUp<{ readonly thread: Thread; readonly drills: readonly TapDrill[] }> {
  const read = nutOf(designation);
  if (!read.ok) return read;
  const usual = usualDrill(read);
  const wanted = wantedDiameter(read, percent, material, usual);
  const at = (share: number) => read.nominal - (share / 100) * fullThreadOf(read);
  const [smallest, largest] = [at(110), at(40)];
  const ranked = drills
    .filter(({ diameter }) => diameter > smallest && diameter < largest)
    .map((drill): TapDrill => ({
      ...drill,
      percent: tidy(percentOfThread(read, drill.diameter)),
      within: withinClass(read, drill.diameter),
      standard: isSame(drill.diameter, usual),
    }))
    .toSorted((a, b) => rank(a) - rank(b) || Math.abs(a.diameter - wanted) - Math.abs(b.diameter - wanted));
  return { ok: true, thread: read, drills: ranked };
}

const rank = (d: TapDrill) => (d.within === 'in' || d.within === null ? 0 : 1);
const isSame = (a: number, b: number | undefined) => b !== undefined && Math.abs(a - b) < 0.003;

function nutOf(designation: string): LookedUp<Thread> {
  const read = threadLimits(designation);
  if (!read.ok || read.internal) return read;
  if (read.family === 'trapezoidal' || read.family === 'acme' || read.basic.minor === null)
    return { ok: false, says: [`tap drills of ${read.designation} are not in this table`], nearest: [] };
  if (read.family === 'pipe') return threadLimits(read.designation.replace(/ [AB](?= LH$|$)/, ''));
  if (read.family !== 'metric' && read.family !== 'unified') return read;
  return threadLimits(read.family === 'metric' ? `M${String(read.nominal)}x${String(read.pitch)}-6H` : read.designation.replace(/-[123]A/, '-2B'));
}

/** What the usual list names, mm. */
function usualDrill({ family, nominal, pitch, designation }: Thread): number | undefined {
  if (family === 'metric') return metricTapDrills.find(([d, p]) => d === nominal && p === pitch)?.[2];
  const row = unifiedTapDrills.find(([size, tpi]) => designation.startsWith(`${size}-${String(tpi)} `));
  return row && drillNamed(row[2])?.diameter;
}

/** For a form without class limits here. @source common practice */
const USUAL_PERCENT = 77;

function wantedDiameter(thread: Thread, percent: number | undefined, material: string | undefined, usual: number | undefined): number {
  const at = (share: number) => thread.nominal - (share / 100) * fullThreadOf(thread);
  const { min, max } = thread.minor;
  if (percent !== undefined) return at(percent);
  if (material !== undefined && tough.includes(material)) return max ?? at(66);
  if (material !== undefined && soft.includes(material)) return at(72.5);
  return usual ?? (min !== null && max !== null ? (min + max) / 2 : at(USUAL_PERCENT));
}

function withinClass({ minor }: Thread, diameter: number): TapDrill['within'] {
  if (minor.min === null || minor.max === null) return null;
  return fallsShort(diameter, minor.min, PLACE) ? 'tight' : exceeds(diameter, minor.max, PLACE) ? 'open' : 'in';
}
