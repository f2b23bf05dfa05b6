/* What stands before somebody at a step that is measured: which reading comes next, of what, with which digits typed ahead. */
import type { Entry } from '../document';
import { plan } from '../planner';
import { jobOf } from '../planner/demo.fixture';
import { midShop } from '../shop';
import { atSize, digitsAhead, endToRead, measuresNext, readingAt, type Standing } from './atSize';

const shop = midShop();
const job = jobOf('19 h7 x 120; 40 x 30');
const made = plan(job, shop);
const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
const step = steps.find((s) => s.verb === 'finish-turn' && s.gauge !== undefined);
if (!step) throw new Error('nothing is measured');
const of = step.does[0] ?? '';
const line = { at: '2026-11-02T08:00:00.000Z', by: 'me', piece: 1, step: step.id };
const mm = (text: string) => ({ text, units: 'mm' as const });
const reading = (id: string, text: string, more: Partial<Extract<Entry, { kind: 'reading' }>> = {}): Entry => ({
  ...line,
  id,
  kind: 'reading',
  of,
  value: mm(text),
  gauge: step.gauge ?? '',
  ...more,
});
const cut = (id: string): Entry => ({ ...line, id, kind: 'cut', axis: 'cross', dial: mm('0.1') });
const at = (log: readonly Entry[], gauge = step.gauge, more: Partial<Standing> = {}) =>
  atSize({ job, shop, plan: made, log, step, piece: 1, advice: undefined, ...more }, gauge);
const [size] = made.part.characteristics.filter((c) => c.id === of);

it('first its size is measured, with the digits ahead only once it is known what they will be', () => {
  expect(measuresNext(at([]))).toBe(true);
  expect(digitsAhead(at([]), undefined, 'mm')).toBe('');
  const after = at([reading('a', '19.626'), cut('b')]);
  expect(after.advice?.next).toBe('measure');
  expect(digitsAhead(after, undefined, 'mm')).toBe('19.');
  expect(digitsAhead(after, undefined, 'in')).toMatch(/^0?\.7/);
  // a cut is what comes next: nothing is typed ahead
  expect(digitsAhead(at([reading('a', '19.626')]), undefined, 'mm')).toBe('');
});

it('entries of another piece, another step and taken back are not this size', () => {
  const all = [reading('a', '19.626'), reading('b', '19.5', { piece: 2 }), reading('c', '19.4', { step: 'finish-turn@gone' })];
  expect(at(all).readings.map((r) => r.id)).toEqual(['a']);
  expect(at([...all, { ...line, id: 'd', kind: 'withdrawn', entry: 'a' }]).readings).toEqual([]);
  // how far its shoulder lies is another size
  expect(at([reading('a', '119.9', { of: of.replace('.diameter', '.length') })]).readings).toEqual([]);
});

it('of a slender row the free end is read after a cut, then the other, then the free one again', () => {
  const ends = { free: 10, held: 110 };
  const along = (id: string, where: number) => reading(id, '19.1', { along: mm(String(where)) });
  expect(endToRead({ live: [], ends })).toBe('free');
  expect(endToRead({ live: [along('a', 10)], ends })).toBe('held');
  expect(endToRead({ live: [along('a', 10), along('b', 110)], ends })).toBe('free');
  expect(endToRead({ live: [along('a', 10), cut('b')], ends })).toBe('free');
  expect(endToRead({ live: [along('a', 10)], ends: undefined })).toBe('free');
});

it('a reading is of the step with the gauge in hand, or of the size that was picked with one that suits it', () => {
  expect(readingAt(at([]), made.part, undefined)).toMatchObject({ of, gauge: step.gauge });
  const other = made.part.characteristics.find((c) => c.of !== size?.of && c.limits);
  if (!other?.limits) throw new Error('only one size');
  const picked = readingAt(at([]), made.part, other);
  expect(picked).toMatchObject({ of: other.id, limits: other.limits });
  expect(shop.gauges.map((g) => g.id)).toContain(picked?.gauge);
  expect(digitsAhead(at([]), other, 'mm')).toBe('');
});

it('another gauge in hand is another doubt: the advice is worked out with it', () => {
  const caliper = shop.gauges.find((g) => g.kind === 'caliper');
  const log = [reading('a', '19.626')];
  const before = at(log).advice;
  expect(at(log, step.gauge, { advice: before }).advice).toBe(before);
  expect(at(log, caliper?.id, { advice: before }).advice).not.toBe(before);
});
