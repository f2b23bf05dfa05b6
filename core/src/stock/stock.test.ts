import { blankDrawing } from '../document';
import { readDrawing } from '../drawing';
import { flankHalf, readExternalThread } from '../standards';
import { combine } from './combine';
import { finishedEdges } from './finished';
import { area, polygon, rectangle, volume } from './region';
import { chamfered, drilled, faced, noseCorner, regionOf, threaded, turned } from './sweep';
import { turnedRound } from './turnedRound';

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

  it.each([
    ['M10', 1.5, 10, 0.6134],
    ['1/2-13', 25.4 / 13, 12.7, 0.6134],
    ['Tr20x4', 4, 20, undefined],
  ])(
    'a thread %s is cut as grooves a pitch apart, half a pitch wide on its pitch line (ISO 68-1, ASME B1.1, ISO 2901)',
    (text, pitch, major, deep) => {
      const read = readExternalThread(text);
      const thread = read?.ok === true ? read.thread : undefined;
      if (!thread) throw new Error(text);
      const half = flankHalf(thread.family);
      const form = { pitch, crest: thread.crest / 2, root: thread.root / 2, mean: thread.mean / 2, half };
      const grooves = threaded(0, -1, 10 * pitch, form);
      expect(thread.crest).toBeCloseTo(major, 3);
      expect(grooves.length).toBe(10);
      const across = (r: number) => area(combine('intersection', grooves, rectangle(-1.5 * pitch, -0.5 * pitch, r - 0.02, r + 0.02))) / 0.04;
      expect(across(form.mean) / pitch).toBeCloseTo(0.5, 2);
      // 60 degree threads: a crest of an eighth of the pitch is left, and the root is 0.6134 of the pitch deep
      if (deep !== undefined) {
        expect((across(form.crest - 0.02) + 0.04 * Math.tan(Math.PI / 6)) / pitch).toBeCloseTo(7 / 8, 2);
        expect((form.crest - form.root) / pitch).toBeCloseTo(deep, 3);
      }
      // the same left of a mouth, and none reaches past its length
      expect(Math.min(...grooves.flatMap((g) => g.flatMap((ring) => [...ring].filter((_, i) => i % 2 === 0))))).toBeGreaterThan(-10 * pitch);
      expect(area(threaded(0, 1, 10 * pitch, form))).toBeCloseTo(area(grooves), 6);
    },
  );

  it('a threaded rod weighs what a rod of its mean section does: M10 by its metre, from memory 0.49 to 0.50 kg in steel', () => {
    const read = readExternalThread('M10');
    if (read?.ok !== true) throw new Error('M10');
    const { crest, root, mean, pitch } = read.thread;
    const grooves = threaded(0, -1, 1000, { pitch, crest: crest / 2, root: root / 2, mean: mean / 2, half: 30 });
    const kilograms = (volume(combine('difference', rectangle(0, -1000, 0, crest / 2), grooves)) / 1e9) * 7850;
    expect(kilograms).toBeGreaterThan(0.48);
    expect(kilograms).toBeLessThan(0.51);
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
    expect(finishedEdges(rectangle(1, -120, 0, 13), part)).toEqual([]);
    expect(finishedEdges(regionOf(part.contour), part)).toHaveLength(5);
  });

  it('is a row turned to the middle of its limits, not one that has its allowance on', () => {
    const finished = combine('difference', rectangle(0, -120, 0, 13), turned(1, -42, 9.4948));
    const roughed = combine('difference', rectangle(0, -120, 0, 13), turned(1, -42, 9.4948 + 0.32));
    const alongRow = (edges: ReturnType<typeof finishedEdges>) => edges.filter(([z0, , z1]) => Math.abs(z1 - z0) > 30);
    expect(alongRow(finishedEdges(finished, part))).toHaveLength(1);
    expect(alongRow(finishedEdges(roughed, part))).toHaveLength(0);
  });
});
