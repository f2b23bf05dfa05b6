import type { Job } from './types';

/**
 * What an order may be found by: its reference, how it came, what was agreed, what came with it.
 * @example orderWords({ order: { reference: '17', parts: [] } }) // '17'
 */
export const orderWords = ({ order }: Pick<Job, 'order'>): string =>
  [order?.reference, order?.channel, order?.price, ...(order?.parts.map((p) => p.what) ?? [])].filter((w) => w !== undefined).join(' ');

/**
 * Parts of the customer that were received and not given back.
 * @example stillHere({ order: { parts: [{ id: 'a', what: 'worn pin', received: '2026-11-02' }] } }).length // 1
 */
export const stillHere = ({ order }: Pick<Job, 'order'>): NonNullable<Job['order']>['parts'] =>
  order?.parts.filter((p) => p.received !== undefined && p.back === undefined) ?? [];
