import type { Entry, Gauge, Lesson, Machine, Shop } from '../document';
import { faceOf, type Limits, type Part, stackOf } from '../drawing';
import type { Reason } from '../finding';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { say, tidy } from '../quantity';
import { rowOf, thingOf } from '../ref';
import type { Setup } from '../settings';
import { boreGaugeFor, gaugeFor, mmOf, overWiresOf, practice, springKept, wayOf } from '../shop';
import { type Advice, type AdviseWith, adviseWith, lengthDial, type SizedKind } from '../sizing';
import { flankHalf, materialOf, threadLimits } from '../standards';
import { adviseBothEnds, atBothEnds, type Ends, endsOf } from './bothEnds';
import { depthGauge, ofShoulder, shoulderOf } from './shoulder';
import { adviseStandingOff, type StandsOff, tapered } from './standsOff';

/** A step that is brought to size by cut, measure, cut: what is measured, to which limits, by which dial. */
export interface Sized {
  readonly kind: SizedKind;
  readonly limits: Limits;
  /** what is measured: 's2.diameter', 'overall' */
  readonly of: string;
  readonly axis: keyof Machine['dials'];
  /** what one unit of the dial takes off the size, where the dial alone does not say it */
  readonly takes?: number;
  /** wires over which a thread is measured, mm */
  readonly wire?: number;
  /** a taper: its readings are how far the gauge stands off its line */
  readonly standsOff?: StandsOff;
  /** no limits of its own: the general rule of the drawing is its band, and a cut by the dial after one reading is enough */
  readonly plain?: true;
}

const plainBy = (limits: Limits): Pick<Sized, 'plain'> => (limits.from === 'general' ? { plain: true } : {});

/** Kinds of gauge that measure each kind of size, and give a number. */
export const gaugesFor: Readonly<Record<SizedKind, readonly Gauge['kind'][]>> = {
  outside: ['caliper', 'micrometer'],
  bore: ['telescoping', 'bore', 'caliper', 'plugPins'],
  length: ['caliper', 'micrometer', 'depth'],
  depth: ['depth', 'caliper'],
  thread: ['wires', 'threadMicrometer'],
};

/** How a step is sized with a gauge; undefined for every other step. */
export function sizedAt(step: Step, plan: Plan, shop: Shop, machine: Machine | undefined, gauge: string | undefined): Sized | undefined {
  const by = shop.gauges.find((g) => g.id === (gauge ?? step.gauge));
  const of = step.does[0] ?? '';
  const size = (id: string) => plan.part.characteristics.find((c) => c.id === id);
  const row = plan.part.features.find((f) => f.id === rowOf(step.id));
  if (step.verb === 'thread' || step.verb === 'die')
    return by && step.verb === 'thread' && row?.side === 'outside' ? threadBy(by, step, plan) : undefined;
  if (step.verb === 'taper' || (step.verb === 'bore' && row?.form === 'taper')) {
    const taper = step.method === 'form' || !row ? undefined : tapered(row);
    const kind = step.verb === 'bore' ? 'bore' : 'outside';
    return taper && { kind, limits: taper.limits, of: `${rowOf(step.id)}.taper`, axis: 'cross', standsOff: taper };
  }
  if (step.verb === 'groove') return grooveAt(step, plan, shop, gauge);
  if (step.verb === 'face') {
    const drawn = step.gauge === undefined ? undefined : size('overall')?.limits;
    const limits = drawn ?? (step.figures['to'] && wholeOf(plan.part));
    const found = drawn ?? (limits && gaugeFor(shop, limits.nominal, limits.max - limits.min));
    return limits && found
      ? { kind: 'length', limits, of: 'overall', axis: lengthDial(machine, limits.max - limits.min), ...plainBy(limits) }
      : undefined;
  }
  if (step.gauge === undefined) return undefined;
  if (step.verb === 'finish-turn') {
    const limits = step.limits ?? size(of)?.limits;
    const to = step.figures['to'];
    // a die wants its blank under the nominal: the step's own size stands
    const own: Limits | undefined =
      limits && to?.formula === 'toSize' ? { nominal: to.value, max: to.value + 0.02, min: to.value - 0.05, from: 'typed' } : limits;
    return own && { kind: 'outside', limits: own, of, axis: 'cross', ...plainBy(own) };
  }
  if (step.verb === 'bore') {
    const limits = step.limits ?? size(of)?.limits;
    return limits && { kind: 'bore', limits, of, axis: 'cross', ...plainBy(limits) };
  }
  return undefined;
}

/** The bottom of a groove, by the dial of the cross slide: over the blades of a caliper outside, in a bore the other way. @source plain-sizes-too, common practice */
function grooveAt(step: Step, plan: Plan, shop: Shop, gauge: string | undefined): Sized | undefined {
  const detail = plan.part.details.find((d) => d.id === rowOf(step.id));
  const row = plan.part.features.find((f) => f.id === detail?.on);
  const bottom = plan.part.characteristics.find((c) => c.id === `${detail?.id ?? ''}.diameter`);
  if (detail?.kind !== 'groove' || !row || !bottom?.limits || bottom.care === 'byEye') return undefined;
  const kind = row.side === 'outside' ? 'outside' : 'bore';
  const sized: Sized = { kind, limits: bottom.limits, of: bottom.id, axis: 'cross', ...plainBy(bottom.limits) };
  return handGauge(step, sized, shop, gauge) ? sized : undefined;
}

/** The whole length where only its parts are drawn: their sum, and what the general rule leaves them together. */
function wholeOf(part: Part): Limits | undefined {
  const stack = stackOf(part, 'right', 'left');
  return stack && { nominal: stack.nominal.value, max: stack.max.value, min: stack.min.value, from: 'general' };
}

/** The size of a step that is brought in now: its diameter first, then how far its shoulder lies where the drawing limits that. */
export function sizedNow(
  step: Step,
  plan: Plan,
  shop: Shop,
  machine: Machine | undefined,
  entries: readonly Entry[],
  gauge: string | undefined,
): Sized | undefined {
  const main = sizedAt(step, plan, shop, machine, gauge);
  const shoulder = shoulderOf(step, plan.part, bothEndsAt(step, plan).setup, machine);
  if (!shoulder || !main) return main ?? shoulder;
  // once the shoulder is measured, the diameter stands as its own gauge showed it
  const lengths = entries.some((e) => e.kind === 'reading' && e.of === shoulder.of);
  const by = lengths ? gaugeInHand(step, ofShoulder(entries, shoulder, false)) : gauge;
  return adviceAt(step, main, plan, shop, machine, entries, by).stands === 'in' ? shoulder : main;
}

/** Over wires, or on the pitch line with a thread micrometer. @source infeed, common practice: the groove of the deepest cut is the tool's own, so the pitch diameter falls by twice the depth */
function threadBy(gauge: Gauge, step: Step, plan: Plan): Sized | undefined {
  const row = thingOf(step.does[0] ?? '');
  const of = `${row}.thread`;
  const thread = plan.part.characteristics.find((c) => c.id === of);
  const form = thread?.text === undefined ? undefined : threadLimits(thread.text);
  if (step.method === 'begun' || thread?.text === undefined || !thread.pitchDiameter || !form?.ok) return undefined;
  const along = step.figures['depth']?.formula === 'infeedCompound';
  const takes = along ? 2 * Math.cos(((flankHalf(form.family) - 0.5) * Math.PI) / 180) : undefined;
  const base = { kind: 'thread' as const, of, axis: along ? ('compound' as const) : ('cross' as const), ...(takes !== undefined && { takes }) };
  if (gauge.kind === 'threadMicrometer') return { ...base, limits: between(thread.pitchDiameter) };
  if (gauge.kind !== 'wires') return undefined;
  const over = overWiresOf(gauge, thread.text);
  return over && { ...base, limits: between(over.limits), wire: over.wire };
}

const between = ({ max, min }: { readonly max: number; readonly min: number }): Limits => ({
  nominal: tidy((max + min) / 2),
  max,
  min,
  from: 'class',
});

/** What to do next at a step that is sized, from the readings and cuts of its own. */
export const adviceAt = (
  step: Step,
  sized: Sized,
  plan: Plan,
  shop: Shop,
  machine: Machine | undefined,
  log: readonly Entry[],
  gauge: string | undefined,
): Advice => {
  const shoulder = shoulderOf(step, plan.part, bothEndsAt(step, plan).setup, machine);
  const entries = shoulder ? ofShoulder(log, shoulder, sized.kind === 'depth') : log;
  const known = knownAt(step, sized, plan, shop, machine, gauge);
  const { setup, ends } = sized.kind === 'outside' ? bothEndsAt(step, plan) : {};
  const advice = ends
    ? adviseBothEnds(
        sized.limits,
        atBothEnds(entries, ends, materialOf(plan.part.material).alpha, shop.gauges),
        ends,
        known,
        setup && betweenEnds(setup, plan.part),
      )
    : sized.standsOff
      ? adviseStandingOff(sized.standsOff, sized.limits, entries, known)
      : adviseWith(sized.limits, entries, known);
  const kept = keptSpring(shop, machine, step.tool, plan.part.material);
  return kept && advice.dial ? { ...advice, because: [...advice.because, reasonOf(kept)] } : advice;
};

/** The places of a step that is measured at both ends of its cut, and its setup. */
export function bothEndsAt(step: Step, plan: Plan): { readonly setup: Setup | undefined; readonly ends: Ends | undefined } {
  const setup = plan.routes[0]?.setups.find((s) => s.steps.some((own) => own.id === step.id));
  return { setup, ends: endsOf(step, plan.part, setup) };
}

/** From the jaws, or the centre in the head, to the centre in the tailstock, mm; nothing without one. */
const betweenEnds = ({ end, gripped, support, carried }: Setup, part: Part): number | undefined =>
  end !== null && (carried === 'centres' || support.some((s) => s.kind === 'centre')) ? Math.abs(gripped[0] - faceOf(part, end)) : undefined;

/** What a size is measured with: the gauge asked for where it can, else the one planned, else the shop's own for a length. */
export function handGauge(step: Step, sized: Sized, shop: Shop, asked: string | undefined): Gauge | undefined {
  if (sized.kind === 'depth') return depthGauge(shop, asked);
  const found = shop.gauges.find((g) => g.id === (asked ?? step.gauge));
  if (!found && (step.verb === 'groove' || step.verb === 'face')) {
    const { nominal, max, min } = sized.limits;
    return (sized.kind === 'bore' ? boreGaugeFor : gaugeFor)(shop, nominal, max - min);
  }
  if (!sized.standsOff) return found;
  return found?.kind === 'caliper' || found?.kind === 'depth' ? found : (shop.gauges.find((g) => g.kind === 'caliper') ?? found);
}

/** What is known at a step that is sized: lathe, gauge, edge, and how the work and tool give way. */
export function knownAt(step: Step, sized: Sized, plan: Plan, shop: Shop, machine: Machine | undefined, gauge: string | undefined): AdviseWith {
  const tool = shop.tools.find((t) => t.id === step.tool);
  const own = springFor(step);
  const kept = keptSpring(shop, machine, step.tool, plan.part.material)?.mean;
  return {
    machine,
    gauge: handGauge(step, sized, shop, gauge),
    material: plan.part.material,
    nose: sized.kind === 'thread' ? practice.threadNose : mmOf(tool?.nose, 0.4),
    keen: tool?.grade === 'hss',
    // what lathe and tool give of their own adds to what the work gives
    spring: sized.kind === 'depth' || (own === undefined && kept === undefined) ? undefined : (own ?? 0) + (kept ?? 0),
    kind: sized.kind,
    axis: sized.axis,
    settable: wayOf('settable', shop.ways, new Map()),
    gauges: shop.gauges,
    ...(sized.standsOff ? {} : roughedTo(step, sized.kind, plan)),
    ...(sized.kind === 'outside' && { stock: stockOf(plan, shop) }),
    ...(sized.takes !== undefined && { takes: sized.takes }),
  };
}

/** How far a first reading may lie from what roughing was to leave, one deviation, and what a first light pass takes in the mean; mm on diameter. @source judgement */
const ROUGHED = { deviation: 0.35, pass: 0.16 } as const;

/** What the first reading is to show: what roughing left of the same row, less a light pass. */
function roughedTo(step: Step, kind: SizedKind, plan: Plan): Pick<AdviseWith, 'likely'> {
  // a bore is opened in passes of its own: nothing tells how far they went
  if (kind !== 'outside') return {};
  const row = rowOf(step.id);
  const steps = plan.routes[0]?.setups.find((s) => s.steps.some((own) => own.id === step.id))?.steps ?? [];
  const earlier = steps.slice(
    0,
    steps.findIndex((own) => own.id === step.id),
  );
  const rough = earlier.findLast((s) => s.verb === 'rough-turn' && rowOf(s.id) === row && s.removes.length > 0);
  if (!rough) return {};
  const radii = rough.removes.flatMap((rings) => rings.flatMap((ring) => Array.from(ring).filter((_, i) => i % 2 === 1)));
  const size = 2 * Math.min(...radii) - ROUGHED.pass;
  return size > 1 ? { likely: { size: tidy(size), deviation: ROUGHED.deviation } } : {};
}

/** Across the corners of the bar that the piece comes from, mm. */
function stockOf(plan: Plan, shop: Shop): number | undefined {
  const bar = shop.bars.find((b) => b.id === plan.routes[0]?.bar.id);
  if (!bar) return undefined;
  return mmOf(bar.across) * (bar.form === 'square' ? Math.SQRT2 : bar.form === 'hex' ? 2 / Math.sqrt(3) : 1);
}

/** A spring of this lathe and tool that the person kept. */
const keptSpring = (shop: Shop, machine: Machine | undefined, tool: string | undefined, material: string): Lesson | undefined =>
  tool === undefined || !machine ? undefined : springKept(shop.lessons, machine.id, tool, material);

const reasonOf = ({ mean, count }: Lesson): Reason => ({
  rule: 'lesson',
  says: say`lathe and tool give way by ${percent(mean)} % of the cut, kept from ${count} ${count === 1 ? 'size' : 'sizes'}`,
  binds: [],
});

/** A share as a percentage, to a tenth. */
export const percent = (share: number): number => tidy(Math.round(1000 * share) / 10);

/** The gauge in hand at a step: that of its last reading, else the one planned. */
export const gaugeInHand = (step: Step, entries: readonly Entry[]): string | undefined =>
  entries.findLast((e) => e.kind === 'reading')?.gauge ?? step.gauge;

/** What the plan expects to give way for each mm that is cut: the spring of a finishing cut over its depth. */
export function springFor(step: Step): number | undefined {
  const { spring, depth } = step.figures;
  return spring && depth && depth.value > 0 ? spring.value / depth.value : undefined;
}
