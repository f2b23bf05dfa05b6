/* What is cut beside the lathe as closed bodies: closed, as large as plane geometry has them, and where the end view shows them. */
import { blankDrawing, type Detail, type Section } from '../document';
import { cuttersOf } from './cutters';
import { endView } from './endView';
import { between, heldBy, type Triangle } from './mesh';
import { readDrawing } from './readDrawing';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });
const detail = (kind: Detail['kind'], on: string, size: string, at = '', more: Partial<Detail> = {}): Detail => ({
  id: kind,
  kind,
  on,
  at: mm(at),
  size: mm(size),
  ...more,
});
const part = (outside: readonly Section[], details: readonly Detail[] = [], boreRight: readonly Section[] = []) =>
  readDrawing({ ...blankDrawing(), outside: [...outside], boreRight: [...boreRight], details: [...details] });

/** Every edge is run through once each way. */
function closed(triangles: readonly Triangle[]): boolean {
  const key = (p: readonly number[]) => p.map((v) => v.toFixed(6)).join(' ');
  const edges = new Set(
    triangles.flatMap(([a, b, c]) =>
      [
        [a, b],
        [b, c],
        [c, a],
      ].map(([p, q]) => `${key(p ?? [])}|${key(q ?? [])}`),
    ),
  );
  return edges.size === 3 * triangles.length && [...edges].every((e) => edges.has(e.split('|').toReversed().join('|')));
}
/** Of its corners, each counted once. */
function middleOf(triangles: readonly Triangle[]): readonly number[] {
  const corners = [...new Map(triangles.flat().map((p) => [p.map((v) => v.toFixed(6)).join(' '), p])).values()];
  return [0, 1, 2].map((k) => corners.reduce((sum, p) => sum + (p[k] ?? 0), 0) / corners.length);
}

const shaft = [row('a', '30', '40'), row('b', '40', '20')];
const all = part(
  shaft,
  [
    detail('flat', 'a', '26'),
    detail('hexagon', 'b', '36'),
    detail('crossHole', 'a', '6 csk 10', '10', { count: 2 }),
    detail('slot', 'right', '3 x 4'),
    detail('keyway', 'a', '8 x 4', '12', { length: mm('20') }),
    detail('boltCircle', 'left', 'M4 x 8 cbore 7 x 2', '28', { count: 4 }),
  ],
  [row('h', '8', '15')],
);

it('each is closed and no body is inside out', () => {
  const cutters = cuttersOf(all);
  expect([...new Set(cutters.map((c) => c.of))].toSorted()).toEqual(['boltCircle', 'crossHole', 'flat', 'hexagon', 'keyway', 'slot']);
  for (const { triangles } of cutters) {
    expect(closed(triangles)).toBe(true);
    expect(heldBy(triangles)).toBeGreaterThan(0);
  }
});

it('a body between two outlines holds what it holds, whichever way they run', () => {
  const square = (z: number) => [[0, 0, z] as const, [2, 0, z] as const, [2, 3, z] as const, [0, 3, z] as const];
  expect(heldBy(between(square(0), square(5)))).toBeCloseTo(30, 9);
  expect(heldBy(between(square(5), square(0)))).toBeCloseTo(30, 9);
});

it('0 degrees points to the viewer of the section, 90 to the back of the lathe, as in the end view', () => {
  const towards = (angle: string) => {
    const [made] = cuttersOf(part([row('a', '30', '40')], [detail('flat', 'a', '26', '', { angle: mm(angle) })]));
    const [, y = 0, z = 0] = middleOf(made?.triangles ?? []);
    return [Math.sign(Math.round(y)), Math.sign(Math.round(z))];
  };
  expect(towards('0')).toEqual([0, 1]);
  expect(towards('90')).toEqual([1, 0]);
  expect(towards('180')).toEqual([0, -1]);
});

it.each(['right', 'left'] as const)('holes on a circle of the %s end stand where its end view has them', (end) => {
  const plate = part([row('a', '80', '10')], [detail('boltCircle', end, '6', '60', { count: 3, angle: mm('20') })]);
  const seen = endView(plate, end).flatMap((s) => (s.kind === 'hole' && Math.hypot(s.x, s.y) > 1 ? [[s.x, s.y]] : []));
  const cut = cuttersOf(plate).map(({ triangles }) => {
    const [, y = 0, z = 0] = middleOf(triangles);
    // the viewer of the section lies at the left from A, at the right from B
    return [end === 'right' ? -z : z, y];
  });
  expect(cut).toHaveLength(3);
  cut.forEach(([x = 0, y = 0], i) => expect(Math.hypot(x - (seen[i]?.[0] ?? 0), y - (seen[i]?.[1] ?? 0))).toBeLessThan(1e-6));
});

it('goes out into the air beside a smaller row and up to the shoulder of a larger one', () => {
  const [flat] = cuttersOf(part([row('s', '20', '10'), ...shaft], [detail('flat', 'a', '26')]));
  const x = (flat?.triangles ?? []).flat().map((p) => p[0]);
  expect(Math.max(...x)).toBeCloseTo(-10 + 1, 6);
  // the flat lies 11 mm from the axis, the smaller row reaches out 10
  expect(Math.min(...x)).toBeCloseTo(-50 - 0.002, 6);
});
