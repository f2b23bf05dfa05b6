/* What an end shows: outlines against closed forms of plane geometry. */
import { blankDrawing, type Detail, type Section } from '../document';
import { endView } from './endView';
import { readDrawing } from './readDrawing';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });
const seen = (outside: readonly Section[], details: readonly Detail[], end: 'right' | 'left' = 'right') =>
  endView(readDrawing({ ...blankDrawing(), outside: [...outside], details: [...details] }), end);
const detail = (kind: Detail['kind'], on: string, size: string, more: Partial<Detail> = {}): Detail => ({
  id: kind,
  kind,
  on,
  at: mm(''),
  size: mm(size),
  ...more,
});

/** Shoelace. */
function areaOf(points: readonly (readonly [number, number])[]): number {
  return (
    Math.abs(
      points.reduce((sum, [x, y], i) => sum + x * (points[(i + 1) % points.length]?.[1] ?? 0) - y * (points[(i + 1) % points.length]?.[0] ?? 0), 0),
    ) / 2
  );
}
const outline = (shapes: ReturnType<typeof endView>) => {
  const first = shapes.findLast((s) => s.kind === 'edge');
  if (!first || !('points' in first)) throw new Error('no outline');
  return first.points;
};

it('a hexagon is as large as its flats make it: sqrt(3) / 2 of the square of its flats', () => {
  expect(areaOf(outline(seen([row('a', '24', '20')], [detail('hexagon', 'a', '20')])))).toBeCloseTo((Math.sqrt(3) / 2) * 400, 0);
});

it('a flat takes a segment: r2 acos((r - h) / r) - (r - h) sqrt(2 r h - h2)', () => {
  const [r, h] = [15, 4];
  const cut = r ** 2 * Math.acos((r - h) / r) - (r - h) * Math.sqrt(2 * r * h - h ** 2);
  const points = outline(seen([row('a', '30', '20')], [detail('flat', 'a', '26')]));
  expect(Math.PI * r ** 2 - areaOf(points)).toBeCloseTo(cut, 0);
  // towards the viewer of the section: at the left from A, at the right from B
  expect(Math.min(...points.map(([x]) => x))).toBeCloseTo(-(r - h), 6);
  expect(Math.max(...outline(seen([row('a', '30', '20')], [detail('flat', 'a', '26')], 'left')).map(([x]) => x))).toBeCloseTo(r - h, 6);
});

it('what stands behind something larger is not seen, what stands out of it is', () => {
  const edges = (rows: readonly Section[], end: 'right' | 'left') => seen(rows, [], end).filter((s) => s.kind === 'edge').length;
  const stepped = [row('a', '20', '10'), row('b', '30', '10'), row('c', '26', '10')];
  expect(edges(stepped, 'right')).toBe(2);
  expect(edges(stepped, 'left')).toBe(2);
  // behind a round of the size of its flats the corners of a hexagon stand out, six of them
  expect(seen([row('a', '20.5', '10'), row('b', '30', '10')], [detail('hexagon', 'b', '20')]).filter((s) => s.kind === 'edge')).toHaveLength(7);
});

it('holes on a circle stand at their angle, tapped ones with their thread; a hole across shows its sides, hidden', () => {
  const plate = seen([row('a', '80', '10')], [detail('boltCircle', 'right', 'M6', { at: mm('60'), count: 4 })]);
  const threads = plate.flatMap((s) => (s.kind === 'thread' ? [[s.x, s.y, s.radius]] : []));
  expect(threads).toHaveLength(4);
  expect(threads[0]).toEqual([expect.closeTo(30, 6), expect.closeTo(0, 6), 3]);
  expect(threads[1]).toEqual([expect.closeTo(0, 6), expect.closeTo(30, 6), 3]);
  const across = seen([row('a', '30', '20')], [detail('crossHole', 'a', '10', { at: mm('10') })]).filter((s) => s.kind === 'hidden');
  expect(across).toHaveLength(2);
  for (const side of across) if ('points' in side) expect(Math.hypot(...(side.points[1] ?? [0, 0]))).toBeCloseTo(15, 6);
});
