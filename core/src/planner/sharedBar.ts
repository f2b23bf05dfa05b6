import type { Bar, Choice, Job, Shop } from '../document';
import type { Finding } from '../finding';
import { figure, type Figure, say, writeExact } from '../quantity';
import { mmOf } from '../shop';
import { plan } from './planning';

export interface SharedBar {
  /** the shop as it is once the jobs before were cut: their bar is shorter */
  readonly shop: Shop;
  /** what is left of the bar for this job */
  readonly left: Figure | undefined;
  readonly findings: readonly Finding[];
}

export type BarChoice = Extract<Choice, { kind: 'bar' }>;

export const barChoice = (job: Job): BarChoice | undefined => job.choices.findLast((c) => c.kind === 'bar');

/**
 * The bar as jobs before this one leave it: one piece made from another out of one bar. `before` are those jobs, the first cut first; undefined
 * stands for one that is not there now, or that would come before itself.
 */
export function sharedBar(choice: BarChoice | undefined, before: readonly (Job | undefined)[], shop: Shop): SharedBar {
  if (choice?.after === undefined) return { shop, left: undefined, findings: [] };
  if (before.length === 0 || before.includes(undefined))
    return {
      shop,
      left: undefined,
      findings: [gone(choice, say`the job that this one is cut after is not there now, or is itself cut after this one`)],
    };
  let now = shop;
  let left: Figure | undefined;
  let bar: Bar | undefined;
  for (const first of before) {
    const route = first && plan(first, now).routes[0];
    bar = route && now.bars.find((b) => b.id === route.bar.id);
    if (!first || !route || !bar)
      return { shop, left: undefined, findings: [gone(choice, say`the job that this one is cut after has no route yet`)] };
    left = figure('length', 'barLeft', { bar: mmOf(bar.length), cut: route.bar.cut.value, pieces: first.pieces });
    const shorter: Bar = { ...bar, length: { text: writeExact(Math.max(left.value, 0), 'mm'), units: 'mm' } };
    now = { ...now, bars: now.bars.map((b) => (b.id === shorter.id ? shorter : b)) };
  }
  if (bar && choice.bar !== bar.id)
    return {
      shop: now,
      left,
      findings: [
        {
          code: 'bar-shared-other',
          about: 'bar',
          severity: 'caution',
          says: say`${before.at(-1)?.name ?? ''} is cut from ${bar.name}, this job from another bar`,
          why: say`pieces made one from another come out of one bar`,
          mends: [{ says: say`take ${bar.name}`, to: 'job', edits: [{ op: 'put', at: `choices/#${choice.id}`, value: { ...choice, bar: bar.id } }] }],
        },
      ],
    };
  return { shop: now, left, findings: [] };
}

function gone(choice: BarChoice, says: Finding['says']): Finding {
  return {
    code: 'bar-shared-gone',
    about: 'bar',
    severity: 'caution',
    says,
    why: say`what is left of the bar is not known without it`,
    mends: [{ says: say`cut it from a bar of its own`, to: 'job', edits: [{ op: 'remove', at: `choices/#${choice.id}/after` }] }],
  };
}
