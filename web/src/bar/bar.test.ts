import { blankDrawing, type Detail } from '@obra/core/document';
import { readDrawing } from '@obra/core/drawing';
import { endsShown } from './ends';
import { mapping, type View } from './mapping';
import fc from 'fast-check';
import { place, widthOf } from './placeLabels';
import { runsOutside } from './runs';

const view = (length: number, diameter: number, more: Partial<View> = {}): View => ({
  from: -length,
  to: 0,
  maxRadius: diameter / 2,
  stretches: [{ from: -length, to: 0, diameter }],
  width: 1280,
  height: 220,
  top: 40,
  bottom: 50,
  side: 110,
  ...more,
});

describe('the picture of the bar', () => {
  it.each([
    ['a stout part', view(80, 25)],
    ['a washer', view(4, 60)],
    ['a slender shaft', view(900, 12)],
    ['a very slender one on a tablet', view(2000, 6, { width: 1024, height: 110, top: 24, bottom: 24 })],
  ])('%s lies inside, at one scale in both directions', (_, v) => {
    const map = mapping(v);
    expect(map.x(v.from)).toBeGreaterThanOrEqual(0);
    expect(map.x(v.to)).toBeLessThanOrEqual(v.width);
    expect(map.y(v.maxRadius)).toBeGreaterThanOrEqual(v.top - 0.5);
    expect(map.y(-v.maxRadius)).toBeLessThanOrEqual(v.height - v.bottom + 0.5);
    expect(map.x(v.from + 1) - map.x(v.from)).toBeCloseTo(map.axis - map.y(1), 6);
  });

  it('is shortened by break lines only where it is slender, and only in plain length', () => {
    expect(mapping(view(80, 25)).breaks).toEqual([]);
    const map = mapping(
      view(900, 12, {
        stretches: [
          { from: -900, to: -40, diameter: 12 },
          { from: -40, to: 0, diameter: 8 },
        ],
      }),
    );
    expect(map.breaks.length).toBeGreaterThan(0);
    for (const b of map.breaks) expect(b.from >= -900 && b.to <= 0).toBe(true);
    expect(map.scale).toBeGreaterThan(1060 / 900);
  });

  it('never runs backwards, also across a break', () => {
    const map = mapping(view(900, 12));
    const xs = Array.from({ length: 901 }, (_, i) => map.x(-900 + i));
    expect(xs.every((x, i) => i === 0 || x >= (xs[i - 1] ?? 0) - 1e-9)).toBe(true);
  });
});

describe('a line along the bar', () => {
  const bend = Array.from({ length: 41 }, (_, i) => [-10 * i, (10 * i) ** 2 / 1000] as const);
  const breaks = [{ from: -305, to: -105, diameter: 20 }];
  it.each([
    ['from the right', bend],
    ['from the left', bend.toReversed()],
  ])('%s is drawn in two runs beside a break, each ending in the line there, and what is left out is left out', (_, line) => {
    const [left, right, ...more] = runsOutside(line, breaks);
    expect(more).toEqual([]);
    expect([left?.[0], right?.at(-1)]).toEqual([
      [-400, 160],
      [-0, 0],
    ]);
    // chords of a parabola lie over it by at most an eighth of its bend: 0.025 here
    expect(left?.at(-1)?.[0]).toBe(-305);
    expect(left?.at(-1)?.[1]).toBeCloseTo(93.05, 1);
    expect(right?.[0]?.[0]).toBe(-105);
    expect(right?.[0]?.[1]).toBeCloseTo(11.05, 1);
    const map = mapping(view(400, 12, { width: 600, stretches: [{ from: -400, to: 0, diameter: 12 }] }));
    const [cut] = map.breaks;
    if (!cut) throw new Error('not shortened');
    const [a, b] = runsOutside(line, map.breaks);
    expect(map.x(a?.at(-1)?.[0] ?? NaN)).toBeCloseTo(map.x(b?.[0]?.[0] ?? NaN), 9);
    // in each run the picture has the slope of the line, to its scale: nothing is squeezed
    for (const run of [a, b])
      for (const [i, [u]] of (run ?? []).entries())
        if (i > 0) expect(map.x(u) - map.x(run?.[i - 1]?.[0] ?? NaN)).toBeCloseTo(map.scale * (u - (run?.[i - 1]?.[0] ?? NaN)), 6);
  });

  it('without breaks is one run as it is; of one point nothing is drawn', () => {
    expect(runsOutside(bend.toReversed(), [])).toEqual([bend.toReversed()]);
    expect(runsOutside(bend.slice(0, 1), [])).toEqual([]);
  });
});

describe('labels', () => {
  const label = (id: string, text: string, at: number, span = 0) => ({ id, text, at, span });

  it('stand clear of each other and inside the picture', () => {
    const placed = place(
      [
        label('a', 'Ø 19 h7 (+0 -0.021)', 100),
        label('b', 'Ø 25', 130),
        label('c', 'M12x1.75-6g', 160),
        label('d', 'Ø 8', 4),
        label('e', 'Ø 300 +/-0.05', 1278),
      ],
      1280,
    );
    for (const one of placed) {
      expect(one.x - widthOf(one.text) / 2).toBeGreaterThanOrEqual(0);
      expect(one.x + widthOf(one.text) / 2).toBeLessThanOrEqual(1280);
      for (const other of placed)
        if (other !== one && other.level === one.level)
          expect(Math.abs(one.x - other.x)).toBeGreaterThanOrEqual((widthOf(one.text) + widthOf(other.text)) / 2);
    }
  });

  it('leave a span that is too short for them', () => {
    expect(place([label('a', '1-1/2 +0 -.010', 300, 20)], 1280)[0]?.level).toBe(1);
    expect(place([label('a', '25', 300, 80)], 1280)[0]?.level).toBe(0);
  });

  it('a crowd stands clear in a few lines: whole where there is room, short where there is not, never over one another', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 10, max: 1270 }), fc.integer({ min: 2, max: 16 })), { minLength: 1, maxLength: 60 }), (all) => {
        const labels = all.map(([at, long], i) => ({ ...label(String(i), 'x'.repeat(long), at), short: String(i + 1) }));
        const placed = place(labels, 1280);
        for (const one of placed) {
          expect(one.level).toBeLessThan(3);
          expect([labels[Number(one.id)]?.text, labels[Number(one.id)]?.short]).toContain(one.text);
          expect(Math.abs(one.foot - one.at)).toBeLessThanOrEqual(160);
          const [from, to] = [one.x - widthOf(one.text) / 2, one.x + widthOf(one.text) / 2];
          expect(from >= 0 && to <= 1280).toBe(true);
          for (const other of placed)
            if (other !== one && other.level === one.level)
              expect(to <= other.x - widthOf(other.text) / 2 || from >= other.x + widthOf(other.text) / 2).toBe(true);
        }
      }),
    );
  });

  it('forty sizes of a usual length all find a place, in order of what they point at within a line', () => {
    const labels = Array.from({ length: 40 }, (_, i) => ({ ...label(String(i), `Ø ${String(20 + i)} h7`, 130 + 26 * i), short: String(i + 1) }));
    const placed = place(labels, 1280);
    expect(placed).toHaveLength(40);
    expect(placed.filter((p) => p.text.startsWith('Ø')).length).toBeGreaterThanOrEqual(36);
  });

  it('one without room and without a short name is left out rather than laid over another', () => {
    const labels = Array.from({ length: 12 }, (_, i) => label(String(i), 'a long size +0 -0.021', 640));
    expect(place(labels, 1280).length).toBeLessThan(12);
  });
});

it('an end is shown only where the section does not say it all, on the side that it is seen from', () => {
  const mm = (text: string) => ({ text, units: 'mm' as const });
  const ends = (...details: readonly Detail[]) =>
    endsShown(readDrawing({ ...blankDrawing(), outside: [{ id: 'a', size: mm('60'), length: mm('80') }], details: [...details] }));
  const detail = (kind: Detail['kind'], on: string, at: string, size: string): Detail => ({
    id: kind + on,
    kind,
    on,
    at: mm(at),
    size: mm(size),
    count: 4,
  });
  expect(ends()).toEqual([]);
  expect(ends(detail('groove', 'a', '5', '50 x 3'))).toEqual([]);
  expect(ends(detail('flat', 'a', '', '56'))).toEqual(['right']);
  expect(ends(detail('boltCircle', 'left', '40', '5'))).toEqual(['left']);
  expect(ends(detail('boltCircle', 'left', '40', '5'), detail('boltCircle', 'right', '40', '5'))).toEqual(['right', 'left']);
});
