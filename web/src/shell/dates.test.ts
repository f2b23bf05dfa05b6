import { ago, dayOf } from './dates';

const minutesAgo = (n: number) => new Date(Date.now() - n * 60_000).toISOString();

it.each([
  [0.2, 'just now'],
  [5, '5 minutes ago'],
  [60 * 3 + 1, '3 hours ago'],
  [60 * 24 * 2 + 1, '2 days ago'],
])('%d minutes back is “%s”', (minutes, words) => {
  expect(ago(minutesAgo(minutes))).toBe(words);
});

it('a day is written with its month in letters: 03/04 is read two ways', () => {
  expect(dayOf('2026-11-02T12:00:00.000Z')).toMatch(/Nov/);
  expect(dayOf('2026-11-02T12:00:00.000Z')).toMatch(/2026/);
});

it('what is no date is nothing', () => {
  expect([dayOf(''), dayOf('soon'), ago('soon')]).toEqual(['', '', '']);
});
