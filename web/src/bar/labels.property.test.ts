/* Dimensions over drawn parts in both units: no text in its neighbour, no leader through a text or another leader. */
import { blankDrawing, type Detail, type Section } from '@obra/core/document';
import { readDrawing } from '@obra/core/drawing';
import type { Units } from '@obra/core/quantity';
import fc from 'fast-check';
import { labelsOf, leaderAbove, leaderBelow } from './Dimensions';
import { mapping } from './mapping';
import { broken, place, type Placed, tallOf, widthOf } from './placeLabels';

type Point = readonly [number, number];

const size = fc.oneof(
  fc.constantFrom('M12', 'M20x1.5', '1/2-13', '25 h6', '30 +0.021 +0.008', '18 +/-0.05', '28 H7/g6', '7/8', '40 > 36', 'bar 40'),
  fc.integer({ min: 6, max: 60 }).map(String),
);
const drawn = fc.record({
  rows: fc.array(fc.tuple(size, fc.integer({ min: 1, max: 70 })), { minLength: 1, maxLength: 16 }),
  grooves: fc.array(fc.tuple(fc.nat(), fc.integer({ min: 1, max: 6 })), { maxLength: 3 }),
  units: fc.constantFrom<Units>('mm', 'in'),
});
type Drawn = typeof drawn extends fc.Arbitrary<infer T> ? T : never;

function pictured({ rows, grooves, units }: Drawn) {
  const outside = rows.map(([text, long], i): Section => ({
    id: `r${String(i)}`,
    size: { text, units: /-13|^7\/8/.test(text) ? 'in' : 'mm' },
    length: { text: String(long), units: 'mm' },
  }));
  const details = grooves.map(([on, wide], i): Detail => {
    const row = outside[on % outside.length];
    return {
      id: `g${String(i)}`,
      kind: 'groove',
      on: row?.id ?? 'r0',
      at: { text: '1', units: 'mm' },
      size: { text: `5 x ${String(wide)}`, units: 'mm' },
    };
  });
  const part = readDrawing({ ...blankDrawing(), outside, details });
  const [width, height] = [1280, 220];
  const largest = Math.max(1, ...part.features.flatMap((f) => [f.nearDiameter.nominal, f.farDiameter.nominal]));
  const map = mapping({ from: -part.length, to: 0, maxRadius: largest / 2, stretches: [], width, height, top: 50, bottom: 62, side: 110 });
  return { width, ...labelsOf({ part, map, units }), count: part.features.length };
}

/** Levels that a text stands on. */
const levelsOf = ({ level, text }: Placed): readonly number[] => Array.from({ length: tallOf(text) }, (_, i) => level + i);

const edgesOf = ({ x, text }: Placed): Point => [x - widthOf(text) / 2, x + widthOf(text) / 2];

/** Whether two paths of straight pieces meet. */
function meet(a: readonly Point[], b: readonly Point[]): boolean {
  const side = ([ax, ay]: Point, [bx, by]: Point, [px, py]: Point) => (bx - ax) * (py - ay) - (by - ay) * (px - ax);
  const pieces = (way: readonly Point[]) => way.slice(1).flatMap((to, i) => (way[i] ? [[way[i], to] as const] : []));
  return pieces(a).some(([p, q]) => pieces(b).some(([r, s]) => side(p, q, r) * side(p, q, s) < -1e-6 && side(r, s, p) * side(r, s, q) < -1e-6));
}

/** Whether a path runs through a box. */
const through = (way: readonly Point[], [left, right]: Point, [top, foot]: Point): boolean =>
  meet(way, [
    [left, (top + foot) / 2],
    [right, (top + foot) / 2],
  ]);

it('200 drawn parts: a letter between texts, no leader through a text, no two leaders across each other', () => {
  fc.assert(
    fc.property(drawn, (of) => {
      const { width, above, below } = pictured(of);
      for (const [labels, leader, line] of [
        [above, (l: Placed) => leaderAbove(l, 50), (level: number): Point => [30 - 14 * level, 40 - 14 * level]],
        [below, (l: Placed) => leaderBelow(l, 158), (level: number): Point => [158 - 6 + 13 * level, 158 + 3 + 13 * level]],
      ] as const) {
        const placed = place(labels, width);
        const led = placed.filter((l) => l.span === 0 || l.level > 0);
        for (const one of placed) {
          const [from, to] = edgesOf(one);
          expect(from >= 0 && to <= width).toBe(true);
          for (const other of led) {
            if (other === one) continue;
            const [left, right] = edgesOf(other);
            if (levelsOf(one).some((l) => levelsOf(other).includes(l))) expect(to + 7.6 <= left || from >= right + 7.6).toBe(true);
            // a length within its own span stands on the line that others only begin at
            if (one.span === 0 || one.level > 0) {
              for (const level of levelsOf(one)) expect(through(leader(other), [from, to], line(level))).toBe(false);
              expect(meet(leader(one), leader(other))).toBe(false);
            }
          }
        }
      }
    }),
    { numRuns: 200, seed: 2129 },
  );
});

it('of twelve usual rows every size is said whole', () => {
  const sizes = ['20 h7', '21', 'M24', '23 +/-0.05', '7/8', '25', '26 > 28', '28', '29 h7', '30', '31', '32'];
  const { above, width } = pictured({ rows: sizes.map((s, i) => [s, 8 + i]), grooves: [], units: 'mm' });
  const placed = place(above, width);
  expect(placed.map((p) => p.text)).toEqual(above.map((l) => l.text));
});

it.each([
  ['Ø 30 +0.021 +0.008', 'Ø 30\n+0.021 +0.008'],
  ['M20x1.5-6g', 'M20x1.5-\n6g'],
  ['1/2-13 UNC-2A', '1/2-13\nUNC-2A'],
  ['Ø 18 +/-0.05', 'Ø 18\n+/-0.05'],
  ['Ø 25 h6', undefined],
  ['40', undefined],
])('%s breaks where its lines are shortest', (text, lines) => expect(broken(text)).toBe(lines));
