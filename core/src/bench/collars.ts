import type { Entry } from '../document';
import type { Part } from '../drawing';
import type { Step } from '../operations';
import { figure, type Figure, parseLength, tidy } from '../quantity';
import { rowOf } from '../ref';
import type { Setup } from '../settings';
import { type Ends, placesOf } from './bothEnds';

/** Two collars that try a set-over: how far each is measured from the zero face, and the taper that is wanted between them, diameter per length, growing towards the headstock. */
export interface Collars extends Ends {
  readonly slope: number;
  /** between the centres, mm */
  readonly between: number;
  /** what the readings are of */
  readonly of: string;
}

/** The collars of a taper that is turned with the tailstock set over. @source setover-test, common practice */
export function collarsOf(step: Step, part: Part, setup: Pick<Setup, 'end'> | undefined): Collars | undefined {
  const row = part.features.find((f) => f.id === rowOf(step.id));
  if (step.verb !== 'taper' || step.method !== 'set-over' || !row || !setup?.end) return undefined;
  const { end } = setup;
  const long = Math.abs(row.near - row.far);
  const [free, held] = end === 'right' ? [row.nearDiameter, row.farDiameter] : [row.farDiameter, row.nearDiameter];
  return { ...placesOf(row, part, end), slope: tidy((held.nominal - free.nominal) / long), between: part.length, of: `${row.id}.collar` };
}

export interface SetOverBy {
  readonly taper: Figure;
  /** how far the tailstock is moved, further over or back */
  readonly move: Figure;
  readonly further: boolean;
  /** by less than a tailstock is set to: it stands */
  readonly stands: boolean;
}

/** A tailstock is not set over finer than this, mm. @source judgement */
const SET = 0.005;

/** What two collars turned at one setting show of the taper, and how far the tailstock is moved for the one that is wanted; the last reading of each counts. */
export function setOverBy(collars: Collars, live: readonly Entry[]): SetOverBy | undefined {
  const last = (at: number) => {
    const entry = live.findLast((e) => e.kind === 'reading' && e.of === collars.of && Number(e.along?.text) === at);
    const read = entry?.kind === 'reading' ? parseLength(entry.value.text, entry.value.units) : undefined;
    return read?.ok === true ? read.value : undefined;
  };
  const [free, held] = [last(collars.free), last(collars.held)];
  if (free === undefined || held === undefined) return undefined;
  const apart = collars.held - collars.free;
  const taper = figure('ratio', 'taperBetween', { large: held, small: free, apart }, { step: 0.00001 });
  // further over makes the taper steeper, whichever way it runs
  const further = Math.abs(collars.slope) > taper.value * Math.sign(collars.slope);
  const move = figure('length', 'setOverBy', { wanted: collars.slope, is: taper.value, between: collars.between }, { step: 0.01 });
  return { taper, further, move, stands: move.value < SET };
}
