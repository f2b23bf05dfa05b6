import { type End, writeStep } from '../ref';
import { gripOf, type HoldingChoice } from '../holding';
import { figure, length, say, type Sentence, time } from '../quantity';
import { holdingOf, mmOf, speedsOf } from '../shop';
import { combine, outsideOf, type Region } from '../stock';
import type { BarSheet } from './barSheet';
import { byHand, type Context, reason, type SetupDraft } from './context';

import type { Gripping, Reach } from './reach';
import type { Severing } from './sever';
import { riskOf } from './risks.table';
import { bentLineOf } from './spring';
import type { Setup, Step } from './types';

/** What the setups of one route have in common. */
export interface Making {
  readonly ctx: Context;
  readonly sheet: BarSheet;
  readonly severing: Severing;
  readonly ids: Map<string, string>;
  /** what each step of this setup sweeps */
  readonly sweeps: Map<string, Region>;
  readonly reach: Reach;
  /** the end that is worked first */
  readonly first: End;
  /** in a bound: what all setups so far swept, clipped out of nothing */
  readonly swept?: Region[] | undefined;
}

/** A setup with nothing done in it yet; `jaws` is z of their face, `gripped` the diameter they close on. */
export function draftOf(
  making: Making,
  id: string,
  end: End,
  held: HoldingChoice,
  { ratio, stock, jaws, gripped }: { readonly ratio: number; readonly stock: Region; readonly jaws: number; readonly gripped: number },
): SetupDraft {
  const holding = holdingOf(making.ctx.shop, held.holding);
  const speed = speedLimit(making, held, id);
  const grip = holding && gripOf(holding, gripped);
  const carried = held.support.some((s) => s.kind !== 'steady');
  return {
    id,
    end,
    steps: [],
    sweeps: making.sweeps,
    ids: making.ids,
    stock,
    swept: making.swept,
    holding: held.holding,
    support: held.support,
    jaws,
    speedBy: speed.says,
    place: { machine: making.ctx.machine, material: making.ctx.material, mostSpeed: speed.most, ratio, centre: carried, ...(grip && { grip }) },
  };
}

/** What allows the least speed: the holding, what runs on it, a bar that whips behind the spindle. */
function speedLimit(making: Making, held: HoldingChoice, id: string): { readonly most: number; readonly says: Sentence } {
  const items = [held.holding, ...held.support.map((s) => s.item)].flatMap((id) => holdingOf(making.ctx.shop, id) ?? []);
  const limits: { readonly most: number; readonly says: Sentence }[] = items.map((h) => ({ most: h.maxSpeed, says: say`${h.name} allows no more` }));
  limits.push({ most: Math.max(...speedsOf(making.ctx.machine)), says: say`the lathe turns no faster` });
  const { behind } = making.sheet;
  if (behind && id === `${making.first}-1`)
    limits.push({ most: behind.speed.value, says: say`the bar stands ${length(behind.length, 1)} out behind the spindle and whips` });
  return limits.reduce((least, l) => (l.most < least.most ? l : least), { most: Infinity, says: say`` });
}

/** The finished setup, with the steps of a person's own between those that were made. */
export function setupOf(making: Making, draft: SetupDraft, held: HoldingChoice, { grip, stickOut, gripped, before, arbor, carried }: Held): Setup {
  const { ctx } = making;
  const steps = withOwnSteps(making, draft, before);
  const holding = holdingOf(ctx.shop, held.holding);
  return {
    id: draft.id,
    end: draft.end,
    holding: held.holding,
    support: held.support,
    grip,
    stickOut,
    gripped,
    gripDiameter: arbor ? arbor.diameter : 2 * outsideOf(before, ...gripped).most,
    ...(arbor && { onArbor: true as const }),
    ...(carried && { carried }),
    ...(draft.unproven !== undefined && { unproven: draft.unproven }),
    ...(draft.weakest && {
      bent: {
        step: draft.weakest.step,
        at: draft.weakest.spring.at,
        spring: draft.weakest.spring.spring,
        line: bentLineOf(draft.weakest.spring, draft.jaws, draft.end === 'right' ? 1 : -1),
      },
    }),
    before,
    minutes: figure('time', 'totalMinutes', { minutes: steps.map((s) => s.figures['minutes']?.value ?? 0) }),
    weighs: figure(
      'cost',
      'weighs',
      { score: held.score.value, risks: riskOf(ctx.findings), against: draft.id === 'left-1' && making.first === 'left' ? 1 : 0 },
      { step: 0.1 },
    ),
    runout: figure('length', 'runoutOfHolding', { tir: mmOf(holding?.trueWithin) }, { step: 0.001 }),
    steps,
    lengths: [],
  };
}

export interface Held {
  readonly grip: Setup['grip'];
  readonly stickOut: Setup['stickOut'];
  /** z from and to */
  readonly gripped: readonly [number, number];
  readonly before: Region;
  readonly arbor?: Gripping | undefined;
  readonly carried?: Setup['carried'] | undefined;
}

/** An own step stands after the one that it names; without a name it opens the route. */
function withOwnSteps({ ctx, first }: Making, draft: SetupDraft, before: Region): readonly Step[] {
  const steps = [...draft.steps];
  for (const step of ctx.chosen.ownSteps) {
    const at = step.after === null ? (draft.id === `${first}-1` ? 0 : -1) : steps.findIndex((s) => s.id === step.after) + 1;
    if (at < 0 || (step.after !== null && at === 0)) continue;
    steps.splice(at, 0, {
      id: writeStep({ verb: 'own', of: step.id }),
      verb: 'own',
      does: [step.id],
      says: [step.says],
      because: [reason('own', say`an own step, ${time(step.minutes)}`, step.id)],
      cautions: [],
      figures: { minutes: byHand(step.minutes) },
      passes: [],
      removes: [],
      after: steps[at - 1]?.after ?? before,
    });
  }
  return steps;
}

/** A setup that stands, its steps with what each removes, cut out of the stock as it was. */
export function withRemovals(setup: Setup, sweeps: Making['sweeps']): Setup {
  let stock = setup.before;
  const steps = setup.steps.map((step) => {
    const sweep = sweeps.get(step.id);
    const from = stock;
    stock = step.after;
    return sweep ? { ...step, removes: combine('intersection', from, sweep) } : step;
  });
  return { ...setup, steps };
}
