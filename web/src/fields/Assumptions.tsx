import type { Choice, Job, Shop } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { type HoldingChoice, STARTED } from '@obra/core/holding';
import { type Plan, type Route, shapeOf } from '@obra/core/planner';
import { type Units, writeWithUnit } from '@obra/core/quantity';
import { mmOf } from '@obra/core/shop';
import { chuckingsOf } from '@obra/core/settings';
import { materials } from '@obra/core/standards';
import { useState } from 'react';
import { HoldingPicture } from '../bar';
import { Chooser } from './Chooser';
import { TheLathe } from './TheLathe';

interface Props {
  readonly job: Job;
  readonly shop: Shop;
  readonly plan: Plan | undefined;
  readonly units: Units;
  readonly apply: (edits: readonly Edit[], to: 'job' | 'shop') => void;
}

const put = (value: Choice): Edit => ({ op: 'put', at: `choices/#${value.id}`, value });

export const holdingName = (option: Pick<HoldingChoice, 'holding' | 'support'>, shop: Shop): string => {
  const name = shop.holdings.find((h) => h.id === option.holding)?.name ?? option.holding;
  return [name, ...option.support.map((s) => supportWords[s.kind])].join(' + ');
};
const supportWords = { centre: 'centre', steady: 'steady', followRest: 'follow rest' } as const;

/** One way of holding, in a word. */
export const holdingKey = (option: Pick<HoldingChoice, 'holding' | 'support'>): string =>
  [option.holding, ...option.support.map((s) => s.kind)].join('+');

/** The choice of a way of holding; what was typed of grip and stick-out is kept where the holding stays. */
export const holdChoice = (option: HoldingChoice, before?: Choice): Choice => ({
  ...(before?.kind === 'hold' && before.holding === option.holding && before),
  kind: 'hold',
  id: `hold-${option.setup}`,
  setup: option.setup,
  holding: option.holding,
  support: option.support.map(({ item }) => ({ item })),
});

/** A holding is chosen for a setup of the route in hand: where that is not the usual one, its first end and way of carrying are chosen with it. */
export const holdEdits = (route: Route | undefined, value: Choice): readonly Edit[] => [
  ...(route && (route.first !== 'right' || route.layout !== 'chuck') ? shapeOf(route).map(put) : []),
  put(value),
];

/** Everything the plan assumes, each tappable: material, holding, bar, lathe. */
export function Assumptions({ job, shop, plan, units, apply }: Props) {
  const [lathe, setLathe] = useState(false);
  const machine = shop.machines.find((m) => m.id === job.machine) ?? shop.machines[0];
  const route = plan?.routes[0];
  const barNow = route?.bar.id ?? job.choices.findLast((c) => c.kind === 'bar')?.bar ?? '';
  const setup = route && chuckingsOf(route.setups)[0];
  const bars = shop.bars.filter((b) => b.form === 'round' && b.material === job.drawing.material).toSorted((a, b) => mmOf(a.across) - mmOf(b.across));
  const options = plan?.holdings.filter((h) => h.setup === (setup?.id ?? 'right-1')) ?? [];
  const held = setup ? holdingKey(setup) : '';
  return (
    <>
      <select
        className="assumed"
        aria-label="Material"
        value={job.drawing.material}
        onChange={(e) => {
          const gone = job.choices.filter((c) => c.kind === 'bar');
          apply(
            [{ op: 'put', at: 'drawing/material', value: e.target.value }, ...gone.map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` }))],
            'job',
          );
        }}>
        {materials.map((m) => (
          <option key={m.id} value={m.id}>
            {m.name}
          </option>
        ))}
      </select>
      <Chooser
        label="Holding"
        value={held}
        none="holding"
        choices={options.map((o) => ({
          key: holdingKey(o),
          words: holdingName(o, shop),
          ...(o.findings.some((f) => f.severity === 'stop') && { note: 'does not fit' }),
          picture: <HoldingPicture kind={shop.holdings.find((h) => h.id === o.holding)?.kind ?? 'threeJaw'} support={o.support.map((s) => s.kind)} />,
        }))}
        onChoose={(key) => {
          const option = options.find((o) => holdingKey(o) === key);
          if (option) apply(holdEdits(route, holdChoice(option)), 'job');
        }}
      />
      {barNow === STARTED ? (
        <span className="quiet">the piece as it is, in place of a bar</span>
      ) : (
        <select
          className="assumed"
          aria-label="Bar"
          value={barNow}
          onChange={(e) => apply([put({ kind: 'bar', id: 'bar', bar: e.target.value })], 'job')}>
          {!bars.some((b) => b.id === barNow) && <option value={barNow}>{barNow === '' ? 'bar' : barNow}</option>}
          {bars.map((b) => (
            <option key={b.id} value={b.id}>
              {b.name}, {writeWithUnit({ is: 'length', value: mmOf(b.across) }, units)} {b.skin}
            </option>
          ))}
        </select>
      )}
      {machine && (
        <button type="button" className="assumed" onClick={() => setLathe(true)}>
          {machine.name}
          {(machine.assumed?.length ?? 0) > 0 ? ' (assumed)' : ''}
        </button>
      )}
      {lathe && machine && <TheLathe machine={machine} onClose={() => setLathe(false)} onSave={(edits) => apply(edits, 'shop')} />}
    </>
  );
}
