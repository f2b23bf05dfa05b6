/* Rings of rolling bearings and their seats: ISO 492 normal class, mean diameters, and ISO 286 limits; from memory. */
import { ringLimits, seatClass } from './bearings';
import { sizeLimits } from './fits';

it.each([
  [10, 'bore', 0.008],
  [18, 'bore', 0.008],
  [25, 'bore', 0.01],
  [50, 'bore', 0.012],
  [80, 'bore', 0.015],
  [120, 'bore', 0.02],
  [30, 'outside', 0.009],
  [47, 'outside', 0.011],
  [72, 'outside', 0.013],
  [120, 'outside', 0.015],
  [150, 'outside', 0.018],
  [180, 'outside', 0.025],
] as const)('a ring of %d mm, its %s: nothing over, %d mm under at the most (ISO 492, from memory)', (d, side, under) => {
  const limits = ringLimits(d, side);
  expect(limits?.max).toBe(d);
  expect((limits?.max ?? 0) - (limits?.min ?? 0)).toBeCloseTo(under, 9);
});

it('beyond the table nothing is said', () => {
  expect(ringLimits(130, 'bore')).toBeUndefined();
  expect(ringLimits(0, 'bore')).toBeUndefined();
  expect(ringLimits(200, 'outside')).toBeUndefined();
});

it('a turning ring is always tight on its seat under normal load, a standing one may slide (common practice)', () => {
  for (const d of [20, 25, 35, 60, 90]) {
    const [ring, seat] = [ringLimits(d, 'bore'), sizeLimits(`${String(d)} ${seatClass(d, 'shaft', true, 'normal')}`)];
    expect(seat.ok && ring && seat.min - ring.max).toBeGreaterThan(0);
    const loose = sizeLimits(`${String(d)} ${seatClass(d, 'shaft', false, 'normal')}`);
    expect(loose.ok && ring && ring.min - loose.max).toBeGreaterThan(-0.02);
    // heavier is tighter
    const middle = (load: 'light' | 'normal' | 'heavy') => {
      const read = sizeLimits(`${String(d)} ${seatClass(d, 'shaft', true, load)}`);
      return read.ok ? read.max + read.min : NaN;
    };
    expect(middle('light')).toBeLessThan(middle('normal'));
    expect(middle('normal')).toBeLessThan(middle('heavy'));
  }
});
