import { leastDepthOf } from '../cutting';
import type { Job, Machine, Shop } from '../document';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { figure, type Figure, length, say, type Sentence } from '../quantity';
import { rowOf } from '../ref';
import { mmOf, wayOf } from '../shop';
import { dialShare, sizingWith, towardsOf } from '../sizing';
import type { AtSize } from './atSize';
import { knownAt } from './sized';
import { flankHalf, threadLimits } from '../standards';

/** Of a thread that is tried with a ring or a nut: what is cut before it is tried again, in shares of the tolerance of its pitch diameter. @source common practice, a little and try */
const SHARES: Readonly<Record<string, number>> = { 'does not go': 0.5, 'starts, tight': 0.25 };

export interface Further {
  readonly dial: Figure;
  readonly axis: 'cross' | 'compound';
}

/** How much further a thread is cut for what its gauge felt like: along the compound as it is set, or straight in; nothing once it goes. */
export function furtherByFeel(step: Step, plan: Plan, shop: Shop, machine: Machine | undefined, feel: string): Further | undefined {
  const share = SHARES[feel];
  const thread = plan.part.characteristics.find((c) => c.id === `${rowOf(step.id)}.thread`);
  const form = thread?.text === undefined ? undefined : threadLimits(thread.text);
  if (step.verb !== 'thread' || share === undefined || !thread?.pitchDiameter || !form?.ok) return undefined;
  const { max, min } = thread.pitchDiameter;
  const axis = step.figures['depth']?.formula === 'infeedCompound' ? ('compound' as const) : ('cross' as const);
  const dial = machine?.dials[axis];
  const takes = axis === 'compound' ? 2 * Math.cos(((flankHalf(form.family) - 0.5) * Math.PI) / 180) : dial?.reads === 'diameter' ? 1 : 2;
  const settable = mmOf(dial?.readout) || dialShare(wayOf('settable', shop.ways, new Map())) * mmOf(dial?.division, 0.02);
  return {
    axis,
    dial: figure('length', 'furtherByFeel', { share, tolerance: max - min, takes, settable }, { step: settable < 0.009 ? 0.001 : 0.01 }),
  };
}

/** How a fit feels as its mate is tried, from loose to not at all. */
export const fitFeels = ['falls in', 'slides', 'wants a push', 'wants a press', 'enters its lead-in', 'does not enter'] as const;
type FitFeel = (typeof fitFeels)[number];

/** What follows from how a mate felt. */
export interface FitAnswer {
  readonly says: Sentence;
  /** the next cut, on the cross dial */
  readonly dial?: Figure;
  /** it is as it was wanted */
  readonly fits?: true;
}

/** A cut that takes more than this of what is left is no half of it. @source judgement */
const MOST_OF_IT = 0.7;

/** A sliding fit is wanted where a trial says nothing else. */
const wantedFeel = (want: string): FitFeel => fitFeels.findLast((feel) => want.toLowerCase().includes(feel)) ?? 'slides';

/**
 * What is done next for how a mate felt: half of what the gauge says is left, never less than the edge cuts; emery or a keen edge once its lead-in enters; never force.
 * @param want as typed at the mate: 'trial: wants a push'
 * @param left what the last reading leaves to the size aimed at, mm on diameter; undefined where nothing was read since the last cut
 * @source creep-to-fit, least-depth; common practice
 */
export function fitByFeel(
  feel: string,
  want: string,
  {
    inside,
    left,
    least,
    takes,
    settable,
  }: { readonly inside: boolean; readonly left: number | undefined; readonly least: number; readonly takes: number; readonly settable: number },
): FitAnswer | undefined {
  const [told, wanted] = [fitFeels.indexOf(feel as FitFeel), fitFeels.indexOf(wantedFeel(want))];
  if (told < 0) return undefined;
  if (told === wanted) return { says: say`as it is wanted: stop, measure it, and write the size down`, fits: true };
  if (told < wanted)
    return {
      says: inside
        ? say`looser than wanted: no metal goes back into a bore; another mate, a bush, or a retaining compound`
        : say`looser than wanted: no metal goes back on; another piece, a sleeve, or a retaining compound`,
    };
  if (feel === 'wants a push' || feel === 'wants a press')
    return { says: say`never force it: take it apart, look for a burr, let it cool, measure; then the least that is left, by emery or a keen edge` };
  if (feel === 'enters its lead-in')
    return {
      says: inside
        ? say`nearly there: a keen edge and the same setting once more, or a lap; tried again clean and cold`
        : say`nearly there: 320 emery along the whole fit, or a keen edge; tried again clean and cold`,
    };
  if (left === undefined) return { says: say`does not enter: measure it, type the reading, and half of what is left comes off` };
  const next = figure('length', 'halfByFeel', { share: 0.5, left: Math.max(0, left), takes, settable }, { step: settable < 0.009 ? 0.001 : 0.01 });
  // the least that the dial can set is most of it, or more
  if (left > 0 && next.value * takes > MOST_OF_IT * left)
    return { says: say`what is left, ${length(left, 0.001)}, is about what this dial can set at the least: emery or a keen edge, a little and try` };
  if (left <= 0) return { says: say`by the gauge nothing is left to come off: look for a burr, a taper, heat, and at the mate` };
  if ((next.value * takes) / 2 < least)
    return {
      says: say`half of what is left is ${length(left / 2, 0.001)}, less than the ${length(2 * least, 0.001)} that this edge cuts: emery or a keen edge, a little and try`,
    };
  return { says: say`does not enter: half of the ${length(left, 0.001)} that is left, then tried again`, dial: next };
}

/** What follows from the last trial of a step with its mate; undefined where the last thing that was written down is none. */
export function feltAt(step: Step, { sized, advice, live, kit, machine, inHand }: AtSize, plan: Plan, job: Job): FitAnswer | undefined {
  const last = live.at(-1);
  const mate = job.drawing.mates.find((m) => last?.kind === 'trial' && m.id === last.mate);
  if (last?.kind !== 'trial' || !mate || !sized) return undefined;
  const sizing = sizingWith(sized.limits, [], knownAt(step, sized, plan, kit, machine, inHand));
  const cutSince = live.findLastIndex((e) => e.kind === 'cut') > live.findLastIndex((e) => e.kind === 'reading');
  const left = advice?.cold && !cutSince ? towardsOf(sizing) * (advice.cold.value - advice.aim.value) : undefined;
  return fitByFeel(last.feel, mate.want.text, {
    inside: sized.kind === 'bore',
    left,
    least: leastDepthOf(sizing.keen, sizing.nose),
    takes: sizing.takes,
    settable: sizing.settable ?? sizing.division / 2,
  });
}
