import { readDrawing } from '../drawing';
import { blankDrawing } from '../document';
import {
  area,
  chamfered,
  combine,
  drilled,
  faced,
  finishedEdges,
  noseCorner,
  polygon,
  rectangle,
  regionOf,
  turned,
  turnedRound,
  volume,
} from './index';

const bar = rectangle(1, -120, 0, 12.5);

describe('regions of stock', () => {
  it('turn, face, drill and chamfer away what they sweep', () => {
    expect(area(combine('difference', bar, turned(1, -50, 10)))).toBeCloseTo(121 * 12.5 - 51 * 2.5, 6);
    expect(area(combine('difference', bar, faced(0, 'right')))).toBeCloseTo(120 * 12.5, 6);
    expect(area(combine('difference', bar, faced(-100, 'left')))).toBeCloseTo(101 * 12.5, 6);
    expect(area(combine('difference', bar, drilled(1, 20, 4, 90, 'right')))).toBeCloseTo(121 * 12.5 - 80, 6);
    expect(area(combine('difference', bar, chamfered(0, 12.5, 1, 11.5)))).toBeCloseTo(121 * 12.5 - 0.5, 6);
  });

  it.each([
    [1, 1],
    [1, -1],
    [-1, 1],
    [-1, -1],
  ] as const)('a round nose leaves a square less a quarter circle in a corner, cut from %d along and %d across', (along, out) => {
    // geometry: R2 (1 - pi / 4), the arc in four chords: a quarter of 16 sides with R2 / 2 x 4 sin 22.5 degrees
    const left = noseCorner(-30, 8, 0.8, along, out);
    expect(area(left)).toBeCloseTo(0.64 * (1 - 2 * Math.sin(Math.PI / 8)), 3);
    expect(area(left)).toBeGreaterThan(0.64 * (1 - Math.PI / 4));
    expect(area(combine('difference', left, rectangle(-30, -30 + along * 0.8, 8, 8 + out * 0.8)))).toBeCloseTo(0, 3);
  });

  it('weigh as solids of revolution (Pappus and Guldin; a cylinder and a 118 degree cone by hand)', () => {
    expect(volume(rectangle(0, -100, 0, 10))).toBeCloseTo(Math.PI * 100 * 100, 3);
    const cone = 4 / Math.tan((59 * Math.PI) / 180);
    const hole = combine('intersection', rectangle(0, -100, 0, 10), drilled(0, 20, 4, 59, 'right'));
    expect(volume(hole)).toBeCloseTo(Math.PI * 16 * (20 + cone / 3), 1);
  });

  it('never keep or lose metal: what is removed and what stays make the whole', () => {
    let stock = bar;
    for (let i = 0; i < 60; i++) {
      const sweep = turned(1 - i, -60 + i * 0.37, 12.4 - i * 0.171);
      const [removed, after] = [combine('intersection', stock, sweep), combine('difference', stock, sweep)];
      expect(Math.abs(area(removed) + area(after) - area(stock))).toBeLessThan(0.02);
      stock = after;
    }
  });

  it('drop slivers and stay on the grid of 0.0001 mm', () => {
    expect(combine('difference', bar, rectangle(1, -120, 0, 12.4999))).toEqual([]);
    const [rings] = polygon([
      [0.00004, 1.00006],
      [2, 1],
      [2, 3],
    ]);
    expect([...(rings?.[0] ?? [])].slice(0, 2)).toEqual([0, 1.0001]);
  });

  it('combine with nothing', () => {
    expect(combine('union', [], bar)).toBe(bar);
    expect(combine('intersection', bar, [])).toEqual([]);
    expect(combine('difference', bar, [])).toBe(bar);
  });

  it('are seen from the other end by one function, which undoes itself', () => {
    expect(turnedRound(-70, 70)).toBe(0);
    expect(turnedRound(0, 70)).toBe(-70);
    expect(turnedRound(turnedRound(-12.3, 70), 70)).toBeCloseTo(-12.3, 9);
  });
});

describe('what is finished', () => {
  const mm = (text: string) => ({ text, units: 'mm' as const });
  const part = readDrawing({
    ...blankDrawing(),
    outside: [
      { id: 'a', size: mm('19 h7'), length: mm('42') },
      { id: 'b', size: mm('25'), length: mm('10') },
    ],
  });

  it('is none of a bar, and all of a part', () => {
    expect(finishedEdges(rectangle(1, -120, 0, 13), part.contour)).toEqual([]);
    expect(finishedEdges(regionOf(part.contour), part.contour)).toHaveLength(5);
  });

  it('is a row turned to the middle of its limits, not one that has its allowance on', () => {
    const finished = combine('difference', rectangle(0, -120, 0, 13), turned(1, -42, 9.4948));
    const roughed = combine('difference', rectangle(0, -120, 0, 13), turned(1, -42, 9.4948 + 0.32));
    const alongRow = (edges: ReturnType<typeof finishedEdges>) => edges.filter(([z0, , z1]) => Math.abs(z1 - z0) > 30);
    expect(alongRow(finishedEdges(finished, part.contour))).toHaveLength(1);
    expect(alongRow(finishedEdges(roughed, part.contour))).toHaveLength(0);
  });
});
