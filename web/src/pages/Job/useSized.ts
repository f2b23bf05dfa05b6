import { adviceAt, type BenchState, bothEndsAt, type Ends, gaugesFor, handGauge, type Sized, sizedNow } from '@obra/core/bench';
import { type Entry, type Gauge, liveEntries, type Machine, type Shop } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { rowOf } from '@obra/core/ref';
import { machineOf } from '@obra/core/shop';
import type { Advice } from '@obra/core/sizing';
import { useMemo } from 'react';
import type { JobView } from './view';

type Reading = Extract<Entry, { kind: 'reading' }>;

export interface AtSize {
  readonly kit: Shop;
  readonly machine: Machine | undefined;
  /** what was written down at this step for this piece and not taken back */
  readonly live: readonly Entry[];
  readonly readings: readonly Reading[];
  /** how the step is brought to size with the gauge in hand; none where it is not */
  readonly sized: Sized | undefined;
  readonly advice: Advice | undefined;
  /** where it is measured, at both ends of the cut */
  readonly ends: Ends | undefined;
  /** the gauge that it is measured with, where it can be */
  readonly inHand: string | undefined;
  /** gauges that may be taken */
  readonly gauges: readonly Gauge[];
}

/** A step at the Bench with the gauge in hand: what was measured, and what to do next. */
export function useSized(view: JobView, step: Step, piece: number, state: BenchState, gauge: string | undefined): AtSize {
  const { plan, log, job, shop } = view;
  return useMemo(() => {
    const kit = job.issue?.kit ?? shop;
    const machine = machineOf(kit, job.machine);
    const live = liveEntries(log).filter((e) => e.piece === piece && e.step === step.id);
    const sized = plan && sizedNow(step, plan, kit, machine, live, gauge);
    // the diameter of a step and how far its shoulder lies are two sizes
    const readings = live.flatMap((e) =>
      e.kind === 'reading' && (e.of === sized?.of || (sized?.kind !== 'depth' && !/\.(length|collar)$/.test(e.of))) ? [e] : [],
    );
    // another gauge in hand is another doubt, before anything is read with it
    const told = gauge === (readings.at(-1)?.gauge ?? step.gauge) ? state.advice : undefined;
    const advice = plan && sized ? (told ?? adviceAt(step, sized, plan, kit, machine, live, gauge)) : undefined;
    const ends = plan && sized ? bothEndsAt(step, plan).ends : undefined;
    const inHand = sized ? handGauge(step, sized, kit, gauge)?.id : gauge;
    const inside = plan?.part.features.some((f) => f.id === rowOf(step.id) && f.side !== 'outside') === true;
    return { kit, machine, live, readings, sized, advice, ends, inHand, gauges: gaugesOf(kit, sized, step, inside) };
  }, [plan, log, job, shop, step, piece, state.advice, gauge]);
}

/** The gauges that this step may be measured with: those that give a number for its size; a thread's ring and nut too, inside its plug. */
function gaugesOf(kit: Shop, sized: Sized | undefined, step: Step, inside: boolean): readonly Gauge[] {
  const threads = step.verb === 'thread' || step.verb === 'die';
  // of a taper the gap between its gauge and the line is measured
  const own = sized?.standsOff ? 'depth' : sized?.kind;
  const kinds: readonly Gauge['kind'][] = threads ? (inside ? ['threadPlug'] : ['ring', 'nut', ...gaugesFor.thread]) : own ? gaugesFor[own] : [];
  return kit.gauges.filter((g) => kinds.includes(g.kind) || (g.id === step.gauge && own !== 'depth'));
}
