import { orChosen } from '../document';
import type { Feature, Part } from '../drawing';
import type { Finding } from '../finding';
import { alreadyMade, type StartedPiece } from '../holding';
import { atLeast, atMost, figure, length, PLACE, say } from '../quantity';
import { mmOf, practice } from '../shop';
import { outsideOf } from '../stock';
import { type BarSheet, type SheetAsked } from './barSheet';
import type { Reach } from './reach';

/** What is held and faced of a piece already started: severed where enough of it is beyond face B to hold it by, else held by its own end and turned round. */
export const startedSheet =
  (started: StartedPiece) =>
  ({ part, holding, blade }: SheetAsked, chosenGrip: number | undefined): BarSheet => {
    const whole = started.piece.length;
    const jaws = mmOf(holding?.jaw?.length, 30);
    const faceA = Math.max(0, started.beyondRight);
    const base = { blade, cut: figure('length', 'distance', { value: whole }), surfaceStays: false, whole: false, each: whole };
    const severs = started.beyondLeft >= practice.faceSecond + blade + practice.bladeGap + practice.leastGrip;
    if (severs) {
      const stickOut = figure(
        'length',
        'stickOut',
        { part: part.length, faceA, faceB: practice.faceSecond, blade, gap: practice.bladeGap },
        { step: 0.1 },
      );
      const grip = orChosen(figure('length', 'gripOfJaws', { jaws, most: Math.max(5, whole - stickOut.value) }, { step: 0.1 }), chosenGrip);
      return { ...base, off: { right: faceA, left: practice.faceSecond }, gap: practice.bladeGap, grip, stickOut, severs };
    }
    // a plain piece of which nothing is turned outside is held by more than half
    const outside = part.features.filter((f) => f.side === 'outside');
    const share = outside.length === 1 && outside.every((f) => alreadyMade(f, started)) ? 0.6 : 1 / 3;
    const grip = orChosen(figure('length', 'gripOfJaws', { jaws, most: Math.max(5, whole * share) }, { step: 0.1 }), chosenGrip);
    const stickOut = figure('length', 'stickOutStarted', { whole, grip: grip.value }, { step: 0.1 });
    return { ...base, off: { right: faceA, left: Math.max(0, started.beyondLeft) }, gap: 0, grip, stickOut, severs };
  };

/** z of the left end of the metal and of the jaws' face. */
const heldTo = (part: Part, started: StartedPiece, grip: number): number => -(part.length + started.beyondLeft) + grip;

/** What the jaws close on in the first setup, mm. */
export function gripDiameter(started: StartedPiece, part: Part, sheet: BarSheet): number {
  const face = sheet.severs ? -(part.length + sheet.off.left + sheet.blade + sheet.gap) : heldTo(part, started, sheet.grip.value);
  return 2 * outsideOf(started.region, face - sheet.grip.value, face).most;
}

/** Rows that lie in the jaws are turned from the other end. One that neither end reaches is a stop. */
export function reachBesideJaws(reach: Reach, part: Part, started: StartedPiece, sheet: BarSheet, findings: Finding[]): Reach {
  if (sheet.severs) return reach;
  const jaws = heldTo(part, started, sheet.grip.value) + practice.startedClear;
  const rows = part.features.filter((f) => f.side === 'outside');
  const largest = (list: readonly Feature[]) => Math.max(0, ...list.flatMap((f) => [f.nearDiameter.nominal, f.farDiameter.nominal]));
  return Object.fromEntries(
    rows.map((row, i) => {
      const own = reach[row.id] ?? 'right';
      if (own === 'left' || atLeast(row.far, jaws, PLACE)) return [row.id, own];
      if (own === 'right' && atMost(largest(rows.slice(i + 1)), largest([row]))) return [row.id, 'left'];
      if (!alreadyMade(row, started))
        findings.push({
          code: 'started-in-jaws',
          about: `${row.id}.diameter`,
          severity: 'stop',
          says: say`row ${i + 1} lies in the jaws that hold the piece by its last ${length(sheet.grip.value)}, and a larger row hides it from end B`,
          why: say`what is held cannot be turned: a shorter grip, a longer piece, or turn the drawing round`,
          mends: [],
        });
      return [row.id, own];
    }),
  );
}
