import type { Finding } from '../finding';
import { gripOf, type HoldingChoice } from '../holding';
import { type At, bentLineOf, byHand, type Facts, reason, type Severing, type Step, type ToGet } from '../operations';
import { fallsShort, figure, length, PLACE, say, type Sentence, time } from '../quantity';
import { type End, writeStep } from '../ref';
import type { Done, KnownOrder } from '../sequence';
import { holdingOf, mmOf, practice, speedsOf } from '../shop';
import { boundsOf, combine, outsideOf, type Region } from '../stock';
import type { BarSheet } from './barSheet';
import type { Gripping, Reach } from './reach';
import type { Setup } from './setup';

/** What a setting finds when it begins: the stock, and what earlier ones used up. */
export interface Begins {
  readonly stock: Region;
  readonly wear: At['wear'];
  /** plain ids of steps that are had already */
  readonly taken: ReadonlySet<string>;
  /** in a bound: what all settings so far sweep, clipped out of nothing */
  readonly earlier?: readonly Region[];
}

/** What the settings of one route have in common, and how this one begins. */
export interface Making {
  readonly facts: Facts;
  readonly sheet: BarSheet;
  readonly severing: Severing;
  readonly reach: Reach;
  /** the end that is worked first */
  readonly first: End;
  readonly begins: Begins;
  /** minutes that the dangers of holding it so are taken for, each with its own */
  readonly risks: readonly number[];
  /** orders found for the same operations before */
  readonly known: Map<string, KnownOrder>;
}

/** A setting as it was made, with what was met on the way and how it leaves things. */
export interface MadeSetting {
  readonly setup: Setup;
  readonly says: readonly Finding[];
  readonly gets: readonly ToGet[];
  readonly ends: Begins;
  /** what each step sweeps */
  readonly sweeps: Done['sweeps'];
}

/** Where a setting begins: how slender it stands out, its stock, the face of the jaws, what they close on, and how far a parting blade goes. */
interface BeginsAt {
  readonly ratio: number;
  readonly stock: Region;
  readonly jaws: number;
  readonly gripped: number;
  readonly parted?: number | undefined;
  /** what they close on is finished */
  readonly finished?: boolean;
  /** how much of it they hold, mm */
  readonly long?: number;
}

/** A setting with nothing done in it yet; `jaws` is z of their face, `gripped` the diameter they close on. */
export function beginningOf(
  making: Making,
  id: string,
  end: End,
  held: HoldingChoice,
  { ratio, stock, jaws, gripped, parted, finished = false, long = Infinity }: BeginsAt,
): At {
  const { facts, begins } = making;
  const holding = holdingOf(facts.shop, held.holding);
  const speed = speedLimit(making, held, id);
  const grip = holding && gripOf(holding, gripped, finished);
  const carried = held.support.some((s) => s.kind !== 'steady');
  return {
    id,
    end,
    steps: [],
    taken: begins.taken,
    wear: begins.wear,
    stock,
    ...(begins.earlier && { bare: { earlier: begins.earlier, left: Infinity } }),
    holding: held.holding,
    support: held.support,
    jaws,
    ...(parted !== undefined && { parted }),
    speedBy: speed.says,
    place: {
      machine: facts.machine,
      material: facts.material,
      mostSpeed: speed.most,
      // what is held by nothing yet is the floor below all holdings: it stands out by nothing
      ratio: holding ? ratio : 0,
      centre: carried,
      ...(grip && { grip }),
      ...(holding && isShort(long) && { heldBy: long }),
      ...cornersOf(making, id, stock),
    },
  };
}

/** Held by so little that a heavy cut levers it out. @source short-grip, common practice */
const isShort = (long: number): boolean => fallsShort(long, practice.shortGrip, PLACE);

/** Corners of the stock as long as it has them: of a bar over its flats, of a piece as it was measured. @source interrupted, corners-first; common practice */
function cornersOf({ facts, first, begins }: Making, id: string, stock: Region): Pick<At['place'], 'knocks'> {
  const { bar, started } = facts;
  const over = bar.form === 'square' ? Math.SQRT2 : bar.form === 'hex' ? 2 / Math.sqrt(3) : 1;
  const across = mmOf(bar.across);
  const corners = started ? across : across * over;
  // a bound has nothing clipped yet: there they are only sure while it is held for the first time
  const has = begins.earlier ? id === `${first}-1` : 2 * boundsOf(stock).radius >= corners - practice.finishedWithin;
  if (over === 1 || !has) return {};
  return { knocks: started ? { flats: across / over, corners: across } : { flats: across, corners: across * over } };
}

/** What allows the least speed: the holding, what runs on it, a bar that whips behind the spindle. */
function speedLimit(making: Making, held: HoldingChoice, id: string): { readonly most: number; readonly says: Sentence } {
  const items = [held.holding, ...held.support.map((s) => s.item)].flatMap((id) => holdingOf(making.facts.shop, id) ?? []);
  const limits: { readonly most: number; readonly says: Sentence }[] = items.map((h) => ({ most: h.maxSpeed, says: say`${h.name} allows no more` }));
  limits.push({ most: Math.max(...speedsOf(making.facts.machine)), says: say`the lathe turns no faster` });
  const { behind } = making.sheet;
  if (behind && id.startsWith(making.first))
    limits.push({ most: behind.speed.value, says: say`the bar stands ${length(behind.length, 1)} out behind the spindle and whips` });
  return limits.reduce((least, l) => (l.most < least.most ? l : least), { most: Infinity, says: say`` });
}

/** The finished setting, with the steps of a person's own between those that were made. */
export function settingMade(
  making: Making,
  done: Done,
  held: HoldingChoice,
  { grip, stickOut, gripped, before, arbor, carried, pulled, together = 1 }: AsHeld,
): MadeSetting {
  const { facts, begins } = making;
  const { at, weakest } = done;
  const steps = withOwnSteps(making, at, before).map((step) => forSeveral(step, together));
  const holding = holdingOf(facts.shop, held.holding);
  const setup: Setup = {
    id: at.id,
    end: at.end,
    holding: held.holding,
    support: held.support,
    grip,
    stickOut,
    gripped,
    gripDiameter: arbor ? arbor.diameter : 2 * outsideOf(before, ...gripped).most,
    ...(arbor && { onArbor: true as const }),
    ...(carried && { carried }),
    ...(pulled && { pulled }),
    ...(done.unproven !== undefined && { unproven: done.unproven }),
    ...(weakest && {
      bent: {
        step: weakest.step,
        at: weakest.spring.at,
        spring: weakest.spring.spring,
        line: bentLineOf(weakest.spring, at.jaws, at.end === 'right' ? 1 : -1),
      },
    }),
    before,
    minutes: figure('time', 'totalMinutes', { minutes: steps.map((s) => s.figures['minutes']?.value ?? 0) }),
    weighs: figure(
      'cost',
      'weighs',
      {
        // a chucking is weighed once, however often the bar is pulled out in it
        score: pulled ? 1 : held.score.value,
        risks: [...(pulled ? [] : making.risks), ...done.risks],
        against: at.id === 'left-1' && making.first === 'left' ? 1 : 0,
      },
      { step: 0.1 },
    ),
    runout: figure('length', 'runoutOfHolding', { tir: mmOf(holding?.trueWithin) }, { step: 0.001 }),
    steps,
    lengths: [],
  };
  const ends: Begins = {
    stock: steps.at(-1)?.after ?? before,
    wear: at.wear,
    taken: new Set([...begins.taken, ...at.steps.map((s) => s.id)]),
    ...(begins.earlier && { earlier: [...begins.earlier, ...done.sweeps.values()] }),
  };
  return { setup, says: done.says, gets: done.gets, ends, sweeps: done.sweeps };
}

/** How the work was held, as a setup tells it. */
export interface AsHeld {
  readonly grip: Setup['grip'];
  readonly stickOut: Setup['stickOut'];
  /** z from and to */
  readonly gripped: readonly [number, number];
  readonly before: Region;
  readonly arbor?: Gripping | undefined;
  readonly carried?: Setup['carried'] | undefined;
  readonly pulled?: true;
  /** pieces that stand out at once */
  readonly together?: number;
}

/** Done once for all the pieces that stand out together: the hole that goes through them. */
const once: ReadonlySet<Step['verb']> = new Set<Step['verb']>(['centre-drill', 'pilot', 'drill']);

function forSeveral(step: Step, pieces: number): Step {
  const { minutes } = step.figures;
  if (pieces === 1 || !minutes || !once.has(step.verb)) return step;
  return {
    ...step,
    because: [...step.because, reason('parted-to-thickness', say`done once for the ${pieces} that stand out together`, step.does[0] ?? step.id)],
    figures: { ...step.figures, minutes: figure('time', 'minutesShared', { once: minutes.value, next: 0, pieces }) },
  };
}

/** An own step stands after the one that it names; without a name it opens the route. */
function withOwnSteps({ facts, first }: Making, at: At, before: Region): readonly Step[] {
  const steps = [...at.steps];
  for (const step of facts.chosen.ownSteps) {
    const place = step.after === null ? (at.id === `${first}-1` ? 0 : -1) : steps.findIndex((s) => s.id === step.after) + 1;
    if (place < 0 || (step.after !== null && place === 0)) continue;
    steps.splice(place, 0, {
      id: writeStep({ verb: 'own', of: step.id }),
      verb: 'own',
      does: [step.id],
      says: [step.says],
      because: [reason('own', say`an own step, ${time(step.minutes)}`, step.id)],
      cautions: [],
      figures: { minutes: byHand(step.minutes) },
      passes: [],
      removes: [],
      after: steps[place - 1]?.after ?? before,
    });
  }
  return steps;
}

/** A setup that stands, its steps with what each removes, cut out of the stock as it was. */
export function withRemovals(setup: Setup, sweeps: Done['sweeps']): Setup {
  let stock = setup.before;
  const steps = setup.steps.map((step) => {
    const sweep = sweeps.get(step.id);
    const from = stock;
    stock = step.after;
    return sweep ? { ...step, removes: combine('intersection', from, sweep) } : step;
  });
  return { ...setup, steps };
}
