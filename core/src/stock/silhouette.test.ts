import { blankDrawing, type Section } from '../document';
import { readDrawing } from '../drawing';
import { area } from './region';
import { regionOf, silhouetteOf } from './sweep';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });

describe('the part as seen from outside', () => {
  it.each([
    ['solid', {}],
    ['bored through', { boreRight: [row('h', '10', 'through')] }],
    ['bored from both ends', { boreRight: [row('h', '10', '12')], boreLeft: [row('g', '8', '10')] }],
    ['with a face groove', { details: [{ id: 'f', kind: 'faceGroove' as const, on: 'right', at: mm('2'), length: mm('3'), size: mm('18') }] }],
  ])('%s: half of 20 by 10 and of 30 by 25', (_, more) => {
    const { contour } = readDrawing({ ...blankDrawing(), outside: [row('a', '20', '10'), row('b', '30', '25')], ...more });
    expect(area(silhouetteOf(contour))).toBeCloseTo(10 * 10 + 15 * 25, 6);
    expect(area(regionOf(contour))).toBeLessThanOrEqual(area(silhouetteOf(contour)) + 1e-9);
  });

  it('a ball is half of a disc', () => {
    const { contour } = readDrawing({ ...blankDrawing(), outside: [row('a', 'ball 20', '20')] });
    expect(area(silhouetteOf(contour)) / (50 * Math.PI)).toBeCloseTo(1, 2);
  });

  it('of nothing there is nothing', () => {
    expect(silhouetteOf([])).toEqual([]);
  });
});
