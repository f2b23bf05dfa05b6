import type { Limits } from '../drawing';
import { normalBelow } from '../quantity';
import { aimFor } from './chance';

const h6: Limits = { nominal: 25, max: 25, min: 24.987, from: 'class' };

describe('the normal distribution', () => {
  it.each([
    // Phi(z), handbook table, from memory
    [0, 0.5],
    [1, 0.841345],
    [1.96, 0.975002],
    [-2.576, 0.004998],
    [3, 0.99865],
  ])('Phi(%d) = %d', (z, phi) => {
    expect(normalBelow(z, 0, 1)).toBeCloseTo(phi, 5);
  });

  it('aims at the middle, and off it only when the doubt is large', () => {
    expect(aimFor(h6, 0.001)).toBeCloseTo(24.9935, 9);
    expect(aimFor(h6, 0.004)).toBeCloseTo(24.987 + 2.576 * 0.004, 9);
    expect(aimFor(h6, 1)).toBe(25);
  });
});
