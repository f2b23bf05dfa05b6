import type { Entry } from '../document';
import { awayFor } from './away';

const AT = '2026-11-28T09:00:00.000Z';
const later = (minutes: number) => Date.parse(AT) + minutes * 60_000;
const line = { at: AT, by: 'me', piece: 1, step: 'finish-turn@s1' };
const read = (celsius?: number): Entry => ({
  ...line,
  id: 'r',
  kind: 'reading',
  of: 's1.diameter',
  gauge: 'mic',
  value: { text: '25.318', units: 'mm' },
  ...(celsius !== undefined && { celsius }),
});

it('an hour after 60 degrees a dull bar of 25 mm is at 28, a bright one at 35, within a degree or two (common practice)', () => {
  const away = awayFor([read(60)], 'mild-steel', 25, later(60));
  expect(away?.minutes).toBe(60);
  expect(away?.warm?.[1]).toBeGreaterThan(27);
  expect(away?.warm?.[1]).toBeLessThan(30);
  expect(away?.warm?.[0]).toBeGreaterThan(33);
  expect(away?.warm?.[0]).toBeLessThan(37);
});

const noted: Entry = { ...line, id: 'n', kind: 'note', says: 'gone to lunch' };
const cut: Entry = { ...line, id: 'c', kind: 'cut', axis: 'cross', dial: { text: '0.16', units: 'mm' } };

it.each([
  ['59 minutes are no break', [read(40)], 59, false],
  ['an hour is one', [read(40)], 60, true],
  ['nothing read or cut yet is no size in hand', [noted], 600, false],
  ['a clock that was set back tells nothing', [read(40)], -600, false],
  ['a cut counts like a reading', [cut], 90, true],
])('%s', (_, live, minutes, is) => {
  expect(awayFor(live, 'mild-steel', 25, later(minutes)) !== undefined).toBe(is);
});

it('what was cold, or has had a night, is not called warm', () => {
  expect(awayFor([read()], 'mild-steel', 25, later(90))?.warm).toBeUndefined();
  expect(awayFor([read(60)], 'mild-steel', 25, later(16 * 60))?.warm).toBeUndefined();
});
