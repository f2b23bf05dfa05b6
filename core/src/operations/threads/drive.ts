import { threadDrive, type ThreadDrive, tpiOf } from '../../cutting';
import type { Machine } from '../../document';
import type { Feature } from '../../drawing';
import type { Mend, Reason } from '../../finding';
import { length, say, type Sentence, tidy } from '../../quantity';
import type { DrawnThread } from '../../standards';
import { mmOf } from '../../shop';
import { type Facts, reason } from '../facts';
import { type Draft, warn } from '../outcome';

/* Whether this lathe cuts a pitch, with what, and what its half-nuts do meanwhile. */

/** Error over the thread that nobody need be told of, mm. @source judgement: a fifth of the pitch tolerance of a medium fit */
const UNFELT = 0.01;

/** Longest that a lead error is counted over: what a nut of usual height engages, in diameters. @source engagement, common practice */
const ENGAGES = 1;

const inEngagement = (thread: DrawnThread, long: number): number => Math.min(long, ENGAGES * thread.nominal);

export const driveFor = (machine: Machine, thread: DrawnThread, long: number): ThreadDrive =>
  threadDrive(machine, thread, inEngagement(thread, long));

/** A pitch as it is called: threads to the inch of an inch form. */
export function pitchSaid({ family, lead }: DrawnThread): Sentence {
  if (family === 'metric' || family === 'trapezoidal' || family === 'ba') return say`${length(lead)} pitch`;
  return say`${tidy(Math.round(100 * tpiOf(lead)) / 100)} to the inch`;
}

const wheels = (list: readonly number[]): string => list.map(String).join(' and ');

/** What is set on the lathe for it, and what its half-nuts do. @source can-it-be-cut, half-nut; common practice */
export function driveReasons(machine: Machine, feature: Feature, thread: DrawnThread, long: number): readonly Reason[] {
  const drive = driveFor(machine, thread, long);
  const { id } = feature;
  if (drive.by === 'none') return [];
  const set =
    drive.by === 'box'
      ? say`the box gives ${pitchSaid(thread)} by its lever`
      : say`change wheels for ${pitchSaid(thread)}: drivers ${wheels(drive.train?.drivers ?? [])}, driven ${wheels(drive.train?.driven ?? [])}${drive.lever === undefined ? '' : ', in place of equal ones, the box at '}${drive.lever === undefined ? '' : length(drive.lever)}`;
  const off =
    drive.off > 0.0005
      ? [reason('can-it-be-cut', say`not exact: ${length(drive.off, 0.001)} off over ${length(inEngagement(thread, long), 0.1)} of engagement`, id)]
      : [];
  return [reason('can-it-be-cut', set, id), ...off, reason('half-nut', nutsSaid(drive), id)];
}

/** @source half-nut, common practice */
function nutsSaid({ nuts, sameMark }: ThreadDrive): Sentence {
  if (nuts === 'keep closed')
    return say`the half-nuts stay closed from the first pass to the last: draw the tool clear, stop, and reverse the lathe to come back`;
  if (nuts === 'anywhere') return say`the half-nuts may be opened and closed again anywhere: the leadscrew’s pitch is a whole multiple of this one`;
  return sameMark
    ? say`the half-nuts may be opened; closed again at the same mark of the thread dial`
    : say`the half-nuts open by the rule of this lathe’s thread dial; without one they stay closed and the lathe is reversed`;
}

/** The caution at a thread that is single pointed: what there is to know before the spindle turns. */
export const nutsCaution = ({ nuts }: ThreadDrive): string =>
  nuts === 'keep closed'
    ? 'The carriage is tied to the spindle all the while: know how it stops and reverses before the first pass.'
    : 'Know how the half-nuts open before the first pass.';

/** A pitch that this lathe does not cut, with what does instead: another lathe of the shop, wheels, a die or a tap. */
export function cannotBeCut(draft: Draft, thread: DrawnThread, id: string, long: number): void {
  const { facts } = draft;
  const { machine, shop } = facts;
  const drive = driveFor(machine, thread, long);
  const bought = thread.internal ? 'tap' : 'die';
  const other = shop.machines.filter((m) => m.id !== machine.id && driveFor(m, thread, long).by !== 'none');
  if (drive.by === 'none') {
    draft.gets.push({
      what: say`change wheels for ${pitchSaid(thread)} on ${machine.name}, or a ${bought} ${thread.designation}`,
      how: 'buy',
      holdsUp: [id],
    });
    warn(draft, {
      code: 'can-it-be-cut',
      about: id,
      severity: 'caution',
      says: say`${pitchSaid(thread)} cannot be cut on ${machine.name}: ${machine.box.length > 0 ? say`it is not in its box` : say`it has no box`}, and ${machine.gears.length > 0 ? say`none of its change wheels give it` : say`there are no change wheels`}`,
      why: say`before the bar is cut: wheels that give it, a ${bought}, or another lathe`,
      mends: other.map((m): Mend => ({ says: say`make it on ${m.name}`, to: 'job', edits: [{ op: 'put', at: 'machine', value: m.id }] })),
    });
  } else if (drive.off > UNFELT)
    draft.says.push({
      code: 'can-it-be-cut',
      about: id,
      severity: 'note',
      says: say`the nearest that ${machine.name} gives is ${length(drive.off, 0.001)} off over ${length(inEngagement(thread, long), 0.1)}`,
      why: say`a short nut does not feel it; a long one binds`,
      mends: [],
    });
}

/** Leads that are more than one pitch, and threads that wind the other way. @source multi-start, common practice */
export function windingReasons(facts: Facts, feature: Feature, thread: DrawnThread): readonly Reason[] {
  const starts = Math.round(thread.lead / thread.pitch);
  const reads = mmOf(facts.machine.dials.compound?.division) > 0;
  return [
    ...(starts > 1
      ? [
          reason(
            'multi-start',
            say`${starts} starts: each cut whole, then the next ${reads ? say`by moving the compound ${length(thread.pitch)} along the axis` : say`by turning the driving wheel a ${starts}th of a turn, its teeth marked`}`,
            feature.id,
          ),
        ]
      : []),
    ...(thread.leftHand
      ? [
          reason(
            'multi-start',
            say`left hand: the carriage runs away from the chuck; begin in the relief or at the shoulder, the tool ground for it`,
            feature.id,
          ),
        ]
      : []),
  ];
}
