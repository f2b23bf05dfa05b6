import type { Bar, Holding, Job } from '../document';
import type { Part } from '../drawing';
import { surfaceStays } from '../holding';
import { figure, type Figure } from '../quantity';
import { mmOf } from '../shop';
import { parseLength } from '../quantity';
import { orChosen } from './choices';

export interface BarSheet {
  readonly faceA: number;
  readonly faceB: number;
  readonly blade: number;
  readonly gap: number;
  readonly grip: Figure;
  readonly stickOut: Figure;
  readonly cut: Figure;
  readonly surfaceStays: boolean;
  readonly whips: boolean;
  /** the piece is parted or sawn off what holds it */
  readonly severs: boolean;
}

/** Allowances of the bar sheet, mm. @source bar-length, common practice */
const FACE_A = 1;
export const FACE_B = 1.5;
export const GAP = 8;
const SPARE = 10;

/** How much bar to cut, what sticks out and what is gripped. */
export function barSheet(job: Job, part: Part, bar: Bar, holding: Holding | undefined, blade: number, chosenGrip: number | undefined): BarSheet {
  const jaws = mmOf(holding?.jaw?.length, 30);
  const lengths = { part: part.length, faceA: FACE_A, faceB: FACE_B, blade, gap: GAP };
  const stickOut = figure('length', 'stickOut', lengths, { step: 0.1 });
  const grip = orChosen(figure('length', 'gripOfJaws', { jaws, most: Math.max(5, mmOf(bar.length) - stickOut.value) }, { step: 0.1 }), chosenGrip);
  const choice = job.choices.findLast((c) => c.kind === 'bar');
  const typed = choice?.length && parseLength(choice.length.text, choice.length.units);
  const cut = orChosen(
    figure('length', 'barLength', { ...lengths, grip: grip.value, spare: SPARE }, { step: 0.1 }),
    typed?.ok ? typed.value : undefined,
  );
  return {
    faceA: FACE_A,
    faceB: FACE_B,
    blade,
    gap: GAP,
    grip,
    stickOut,
    cut,
    surfaceStays: surfaceStays(part, bar),
    whips: mmOf(bar.across) < 12,
    severs: true,
  };
}
