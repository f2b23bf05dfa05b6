import type { Choice, Job, Shop } from '../../document';
import type { Finding } from '../../finding';
import { say } from '../../quantity';
import { rowOf } from '../../ref';
import type { Route } from '../route';

/** What a choice of method may be about that is no row: how it is severed, which end is first, how it is carried. */
const wholeRoute = new Set(['left', 'right', 'first', 'carrying', 'pull', 'parted', 'turn']);

/** Choices whose target is gone: told, with a fix, never dropped unseen. */
export function orphans(job: Job, route: Route, shop: Shop): readonly Finding[] {
  const setups = new Set(route.setups.map((s) => s.id));
  const steps = new Set(route.setups.flatMap((s) => s.steps.map((step) => step.id)));
  const rows = new Set([...job.drawing.outside, ...job.drawing.boreRight, ...job.drawing.boreLeft].map((r) => r.id));
  const details = new Set(job.drawing.details.map((d) => d.id));
  const items = new Set([...shop.bars, ...shop.holdings, ...shop.tools, ...shop.gauges].map((item) => item.id));
  const there = (item: string) => (items.has(item) ? undefined : `${item} of the shop`);
  const gone = (c: Choice): string | undefined => {
    if (c.kind === 'bar') return there(c.bar);
    if (c.kind === 'hold') return setups.has(c.setup) ? there(c.holding) : `setup ${c.setup}`;
    if (c.kind === 'use') return steps.has(c.step) ? there(c.item) : c.step;
    if (c.kind === 'in') return rows.has(rowOf(c.step)) ? undefined : c.step;
    if (c.kind === 'data') return steps.has(c.step) ? undefined : c.step;
    if (c.kind === 'method') return rows.has(c.of) || details.has(c.of) || wholeRoute.has(c.of) ? undefined : `row ${c.of}`;
    if (c.kind === 'order') return c.steps.find((s) => !steps.has(s));
    if (c.kind === 'ownStep') return c.after === null || steps.has(c.after) ? undefined : c.after;
    return undefined;
  };
  return job.choices.flatMap((choice): Finding[] => {
    const target = gone(choice);
    return target === undefined
      ? []
      : [
          {
            code: 'choice-orphaned',
            about: choice.id,
            severity: 'note',
            says: say`a choice was made for ${target}, which is not there now`,
            why: say`it is kept in case that comes back`,
            mends: [{ says: say`let it go`, to: 'job', edits: [{ op: 'remove', at: `choices/#${choice.id}` }] }],
          },
        ];
  });
}
