import { type Bar, type Holding, type Job, type Machine, orChosen } from '../document';
import type { Part } from '../drawing';
import { surfaceStays, sweptBy } from '../holding';
import { atMost, figure, type Figure, parseLength, PLACE, tidy } from '../quantity';
import type { End } from '../ref';
import { mmOf, practice } from '../shop';

export interface BarSheet {
  /** allowance for facing at each end */
  readonly off: Readonly<Record<End, number>>;
  readonly blade: number;
  readonly gap: number;
  readonly grip: Figure;
  readonly stickOut: Figure;
  readonly cut: Figure;
  readonly surfaceStays: boolean;
  /** stands out behind the spindle when the bar is not sawn off: how far, and the speed it may turn with */
  readonly behind?: { readonly length: number; readonly speed: Figure };
  /** the bar is not sawn off first; then each piece takes this much of it, mm */
  readonly whole: boolean;
  readonly each: number;
  /** the piece is parted or sawn off what holds it */
  readonly severs: boolean;
  /** of the stock as it stands in the chuck, mm; else what is cut off */
  readonly stands?: number;
  /** pieces that come out of one chucking, and how many of them stand out of it at once */
  readonly several?: { readonly pieces: number; readonly together: number };
  /** the face that is severed stays as the blade leaves it */
  readonly parted?: true;
}

export interface SheetAsked {
  readonly job: Job;
  readonly part: Part;
  readonly bar: Bar;
  readonly holding: Holding | undefined;
  readonly blade: number;
  readonly machine: Machine;
  /** the bar stays whole and goes through the spindle */
  readonly whole: boolean;
  readonly first: End;
  /** pieces that stand out at once */
  readonly together?: number;
  /** the parted face stays */
  readonly parted?: boolean;
}

/** Facing at the end that is worked first, and at the other after turning round. */
export const offOf = (first: End): BarSheet['off'] => ({
  right: first === 'right' ? practice.faceFirst : practice.faceSecond,
  left: first === 'right' ? practice.faceSecond : practice.faceFirst,
});

/** What stands out behind the spindle. @source bar-whip, common practice */
function behindOf({ bar, machine, whole }: SheetAsked, inFront: number): Pick<BarSheet, 'behind'> {
  const out = mmOf(bar.length) - inFront - mmOf(machine.headstock, practice.spindleLong);
  if (!whole || out <= 0) return {};
  return { behind: { length: tidy(out), speed: figure('spindleSpeed', 'whipSpeed', { d: mmOf(bar.across), L: tidy(out) }, { step: 1 }) } };
}

/** How much bar to cut, what sticks out and what is gripped. */
export function barSheet(asked: SheetAsked, chosenGrip: number | undefined, chosenOut: number | undefined): BarSheet {
  const { job, part, bar, holding, blade } = asked;
  const jaws = mmOf(holding?.jaw?.length, 30);
  // closer to the jaws than this the blade or its holder meets them
  const least = part.length + practice.faceFirst + practice.faceSecond + blade + practice.bladeGapLeast;
  const gap = chosenOut === undefined ? practice.bladeGap : tidy(Math.max(practice.bladeGapLeast, chosenOut - (least - practice.bladeGapLeast)));
  const usual = offOf(asked.first);
  const far = asked.first === 'right' ? 'left' : 'right';
  const off = asked.parted === true ? { ...usual, [far]: 0 } : usual;
  const lengths = { part: part.length, faceA: off.right, faceB: off.left, blade, gap };
  const { together = 1 } = asked;
  const each = tidy(part.length + off.right + off.left + blade);
  const stickOut = orChosen(
    figure('length', 'stickOut', { ...lengths, part: tidy(part.length + (together - 1) * each) }, { step: 0.1 }),
    chosenOut === undefined ? undefined : Math.max(chosenOut, tidy(least)),
  );
  const grip = orChosen(figure('length', 'gripOfJaws', { jaws, most: Math.max(5, mmOf(bar.length) - stickOut.value) }, { step: 0.1 }), chosenGrip);
  const choice = job.choices.findLast((c) => c.kind === 'bar');
  const typed = choice?.length && parseLength(choice.length.text, choice.length.units);
  const cut = orChosen(
    asked.whole
      ? figure('length', 'barEach', { part: part.length, faceA: off.right, faceB: off.left, blade }, { step: 0.1 })
      : figure('length', 'barLength', { ...lengths, grip: grip.value, spare: practice.spare }, { step: 0.1 }),
    typed?.ok ? typed.value : undefined,
  );
  return {
    ...(asked.whole && { stands: tidy(stickOut.value + grip.value), several: { pieces: job.pieces, together } }),
    ...(asked.parted === true && { parted: true as const }),
    off,
    blade,
    gap,
    grip,
    stickOut,
    cut,
    surfaceStays: surfaceStays(part, bar),
    ...behindOf(asked, stickOut.value + grip.value),
    severs: true,
    whole: asked.whole,
    each,
  };
}

/**
 * A stout blank with a few millimetres to hold it by beyond the part: everything is done in one chucking, and what was gripped is faced away when it is turned round.
 * @source bar-or-blank, grip-on: a disc is held by 6 to 10 mm, seated back; common practice
 */
export function facedSheet(asked: SheetAsked, chosenGrip: number | undefined): BarSheet {
  const { job, part, bar, first } = asked;
  const far = first === 'right' ? 'left' : 'right';
  const held = Math.min(practice.discGripMost, Math.max(practice.discGripLeast, mmOf(bar.across) / 10));
  const grip = orChosen(figure('length', 'gripOfJaws', { jaws: mmOf(asked.holding?.jaw?.length, 30), most: held }, { step: 0.1 }), chosenGrip);
  const off = { ...offOf(first), [far]: tidy(grip.value + practice.startedClear) };
  const lengths = { part: part.length, faceA: off[first], faceB: practice.startedClear, blade: 0, gap: 0 };
  const choice = job.choices.findLast((c) => c.kind === 'bar');
  const typed = choice?.length && parseLength(choice.length.text, choice.length.units);
  return {
    off,
    blade: 0,
    gap: practice.startedClear,
    grip,
    stickOut: figure('length', 'stickOut', lengths, { step: 0.1 }),
    cut: orChosen(figure('length', 'barLength', { ...lengths, grip: grip.value, spare: 0 }, { step: 0.1 }), typed?.ok ? typed.value : undefined),
    surfaceStays: surfaceStays(part, bar),
    severs: false,
    whole: false,
    each: tidy(part.length + off.right + off.left),
  };
}

/** A bar that is sawn to its length and carried between centres or on a plate: no grip, gap or blade is lost. */
export function carriedSheet({ job, part, bar, first, holding, machine }: SheetAsked): BarSheet {
  const off = offOf(first);
  const choice = job.choices.findLast((c) => c.kind === 'bar');
  const typed = choice?.length && parseLength(choice.length.text, choice.length.units);
  const lengths = { part: part.length, faceA: off.right, faceB: off.left, blade: 0, gap: 0 };
  const cut = orChosen(figure('length', 'barLength', { ...lengths, grip: 0, spare: 0 }, { step: 0.1 }), typed?.ok ? typed.value : undefined);
  // most of it through the spindle, or all of it before the chuck
  const passes = atMost(sweptBy(bar), mmOf(machine.through, Infinity), PLACE);
  const grip = figure(
    'length',
    'gripOfJaws',
    { jaws: mmOf(holding?.jaw?.length, 30), most: Math.max(5, cut.value - practice.centringOut) },
    { step: 0.1 },
  );
  return {
    off,
    blade: 0,
    gap: 0,
    grip,
    stickOut: figure('length', 'distance', { value: passes ? practice.centringOut : tidy(cut.value - grip.value) }, { step: 0.1 }),
    cut,
    surfaceStays: surfaceStays(part, bar),
    severs: false,
    whole: false,
    each: tidy(part.length + off.right + off.left),
  };
}
