import { type Way, wayOf } from '@obra/core/shop';
import type { JobView } from './view';

/** The way that this job goes: its own choice, else that of the shop. */
export function wayInHand(way: Way, { job, shop }: Pick<JobView, 'job' | 'shop'>): string {
  const own = job.choices.findLast((c) => c.kind === 'way' && c.way === way.key);
  return wayOf(way.key, shop.ways, new Map(own?.kind === 'way' ? [[way.key, own.value]] : []));
}
