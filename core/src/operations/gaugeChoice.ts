import { choiceId, type Gauge } from '../document';
import type { Limits } from '../drawing';
import type { Facts } from './facts';
import { diameter, figure, length, say } from '../quantity';
import { gaugeFor, mmOf, practice, proves } from '../shop';
import type { Draft } from './outcome';

/** What an ordinary size is laid on with: what a person chose, else the caliper. @source plain-sizes-too, common practice */
export function plainGauge({ shop, chosen }: Pick<Facts, 'shop' | 'chosen'>, id: string, size: number): Gauge | undefined {
  const asked = chosen.use.get(id)?.flatMap((item) => shop.gauges.filter((g) => g.id === item))[0];
  return asked ?? shop.gauges.find((g) => g.kind === 'caliper' && mmOf(g.from) <= size && size <= mmOf(g.to));
}

/** What a row is measured with: what a person chose, else the best of the shop; what cannot prove its tolerance is told, with what would. */
export function chosenGauge(draft: Draft, id: string, limits: Limits): Gauge | undefined {
  const { facts } = draft;
  const tolerance = limits.max - limits.min;
  const asked = facts.chosen.use.get(id)?.flatMap((item) => facts.shop.gauges.filter((g) => g.id === item))[0];
  const best = gaugeFor(facts.shop, limits.nominal, tolerance);
  const gauge = asked ?? best;
  if (!gauge) {
    draft.gets.push({
      what: say`a gauge that reaches ${length(limits.nominal)}`,
      how: 'buy',
      holdsUp: [id],
      instead: { says: say`the mate itself as a gauge, tried on`, costs: figure('time', 'minutesByHand', { handling: practice.minutesTry }) },
    });
    draft.says.push({
      code: 'no-gauge',
      about: id,
      severity: 'caution',
      says: say`no gauge of the shop reaches ${diameter(limits.nominal)}`,
      why: say`a size that is not measured is not known`,
      mends: [],
    });
    return undefined;
  }
  if (proves(gauge, tolerance)) return gauge;
  const better = best && best.id !== gauge.id && proves(best, tolerance) ? best : undefined;
  if (!better)
    draft.gets.push({
      what: say`a gauge good to ${length(tolerance / 4, 0.001)} at ${length(limits.nominal)}`,
      how: 'buy',
      holdsUp: [id],
      instead: {
        says: say`${gauge.name}, set on a standard near the size`,
        costs: figure('time', 'riskOfSize', { tolerance, bias: mmOf(gauge.bias), repeat: mmOf(gauge.repeat), spring: 0 }, { step: 0.1 }),
      },
    });
  draft.says.push({
    code: 'gauge-too-coarse',
    about: id,
    cause: gauge.id,
    severity: 'caution',
    says: say`${gauge.name} cannot prove a tolerance of ${length(tolerance, 0.001)} on ${diameter(limits.nominal)}`,
    why: say`resolution to a fifth, doubt to a quarter of the tolerance`,
    mends: better
      ? [
          {
            says: say`measure with ${better.name}`,
            to: 'job',
            edits: [
              { op: 'put', at: `choices/#${choiceId('gauge', id)}`, value: { kind: 'use', id: choiceId('gauge', id), step: id, item: better.id } },
            ],
          },
        ]
      : [],
  });
  return gauge;
}
