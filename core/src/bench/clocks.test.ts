import type { Entry } from '../document';
import { clocksOf } from './clocks';

const AT = Date.parse('2026-11-28T09:00:00.000Z');
const iso = (minutes: number) => new Date(AT + minutes * 60_000).toISOString();
const timer = (id: string, says: string, began: number, until: number, more: Partial<Entry> = {}): Entry =>
  ({ id, at: iso(began), by: 'me', piece: 1, step: 'temper@t', kind: 'timer', says, until: iso(until), ...more }) as Entry;

it('tells several at once, what is up first', () => {
  const log = [timer('a', 'waits', 0, 60), timer('b', 'oven', 0, 10), timer('c', 'tail centre nipped again', 0, 5, { step: 'rough-turn@s1' })];
  expect(clocksOf(log, new Set(), AT + 6 * 60_000).map((c) => [c.id, c.left / 60_000])).toEqual([
    ['c', -1],
    ['b', 4],
    ['a', 54],
  ]);
});

it('of a step that waits the last one counts, and none once it is done; a clock of its own runs on', () => {
  const log = [timer('a', 'waits', 0, 60), timer('b', 'waits', 5, 65), timer('c', 'oven', 0, 30)];
  expect(clocksOf(log, new Set(), AT + 6 * 60_000).map((c) => c.id)).toEqual(['c', 'b']);
  expect(clocksOf(log, new Set(['1/temper@t']), AT + 6 * 60_000).map((c) => c.id)).toEqual(['c']);
});

it('is gone where it was taken back, the piece is scrapped, or the night is over', () => {
  const own = timer('a', 'oven', 0, 30);
  const back = { id: 'w', at: iso(1), by: 'me', piece: 1, step: null, kind: 'withdrawn', entry: 'a' } as Entry;
  const lost = { id: 's', at: iso(1), by: 'me', piece: 1, step: null, kind: 'scrapped', why: 'dropped' } as Entry;
  expect(clocksOf([own, back], new Set(), AT)).toEqual([]);
  expect(clocksOf([own, lost], new Set(), AT)).toEqual([]);
  expect(clocksOf([own], new Set(), AT + 12 * 3_600_000)).toEqual([]);
});

it('a clock of the device that was set back is told as that', () => {
  const own = timer('a', 'oven', 0, 30);
  expect(clocksOf([own], new Set(), AT - 60 * 60_000)[0]?.setBack).toBe(true);
  expect(clocksOf([own], new Set(), AT)[0]?.setBack).toBe(false);
});
