/*
 * Several pieces of one size. Mean and deviation against certified values: NIST Statistical Reference Datasets NumAcc1 and NumAcc2. Capability by its definition (ISO 22514-2)
 * and Bissell's lower bound, from memory, by arithmetic.
 */
import { type Characteristic, readDrawing } from '../drawing';
import { jobOf } from '../planner/demo.fixture';
import { figure } from '../quantity';
import type { Verdict } from './inspect';
import { sampleOf, togetherOf } from './together';

const meanOf = (values: readonly number[]) => figure('length', 'meanOf', { values }).value;
const spreadOf = (values: readonly number[]) => figure('length', 'spreadOf', { values }).value;

it('certified: NumAcc1 and NumAcc2', () => {
  const one = [10000001, 10000003, 10000002];
  expect([meanOf(one), spreadOf(one)]).toEqual([10000002, 1]);
  const two = [1.2, ...Array.from({ length: 1000 }, (_, i) => (i % 2 === 0 ? 1.1 : 1.3))];
  expect(meanOf(two)).toBeCloseTo(1.2, 12);
  expect(spreadOf(two)).toBeCloseTo(0.1, 12);
});

it('capability is the way to the nearer limit in three deviations; of few pieces it may be a good deal less', () => {
  expect(figure('ratio', 'capability', { mean: 10, spread: 0.1, max: 10.6, min: 9.4 }).value).toBeCloseTo(2, 9);
  expect(figure('ratio', 'capability', { mean: 10.3, spread: 0.1, max: 10.6, min: 9.4 }).value).toBeCloseTo(1, 9);
  expect(figure('ratio', 'capabilityLeast', { capability: 1.33, n: 50 }).value).toBeCloseTo(1.096, 3);
});

const part = readDrawing({ ...jobOf('20 h7 x 40; 30 x 20').drawing });
const size = (id: string): Characteristic => {
  const found = part.characteristics.find((c) => c.id === id);
  if (!found) throw new Error(id);
  return found;
};
const verdict = (piece: number, value: number): Verdict => ({
  of: 's1.diameter',
  piece,
  value: figure('length', 'coldSize', { reading: value, alpha: 11.5, celsius: 20 }),
  says: value > 20 ? 'over' : value < 19.979 ? 'under' : 'in',
});

it('which pieces are measured follows from care: all, the first, each fifth and the last, the first and the last, none', () => {
  expect(sampleOf(size('s1.diameter'), 10)).toHaveLength(10);
  expect(sampleOf({ care: 'ordinary', limits: size('s1.diameter').limits ?? { nominal: 0, max: 0, min: 0, from: 'typed' } }, 12)).toEqual([
    1, 5, 10, 12,
  ]);
  expect(sampleOf(size('s2.diameter'), 10)).toEqual([1, 10]);
  expect(sampleOf({ care: 'byEye' }, 10)).toEqual([]);
  expect(sampleOf(size('s2.diameter'), 1)).toEqual([1]);
});

it('counts what was measured and what is out, leaves scrapped pieces out, and says no more than so many pieces tell', () => {
  const readings = [19.99, 19.985, 20.01, 19.992].map((v, i) => verdict(i + 1, v));
  const of = (pieces: readonly Verdict[], scrapped: readonly number[] = []) =>
    togetherOf(part, pieces, 12, new Set(scrapped)).find((t) => t.size.id === 's1.diameter');
  expect(of(readings)).toMatchObject({ wanted: 12, measured: 4, out: 1 });
  expect(of(readings, [3])).toMatchObject({ wanted: 11, measured: 3, out: 0 });
  expect(of(readings.slice(0, 2))?.mean).toBeUndefined();
  expect(of(readings)?.capability).toBeUndefined();
  const many = Array.from({ length: 12 }, (_, i) => verdict(i + 1, 19.988 + 0.001 * (i % 5)));
  const told = of(many);
  expect(told?.mean?.value).toBeCloseTo(many.reduce((sum, v) => sum + v.value.value, 0) / 12, 9);
  expect(told?.capability?.is.value).toBeGreaterThan(told?.capability?.least.value ?? 9);
  // twelve that are all the same spread nothing: no capability is made of it
  expect(of(Array.from({ length: 12 }, (_, i) => verdict(i + 1, 19.99)))?.capability).toBeUndefined();
});
