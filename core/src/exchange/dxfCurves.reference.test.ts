/* Ellipses and splines as arcs, outlines turned in the file, gaps, walls of a bush, numbers that are none: against closed forms of geometry. */
import { writeSentence } from '../quantity';
import { curveOf } from './curves';
import type { Segment } from './segment';
import { file, line, poly, read, refusal, rows, stepped } from './dxfText.fixture';
import { readDxf } from './readDxf';

const ellipse = (x: number, y: number, a: number, b: number, from: number, to: number) => [
  '0',
  'ELLIPSE',
  '8',
  '0',
  10,
  x,
  20,
  y,
  11,
  a,
  21,
  0,
  40,
  b / a,
  41,
  from,
  42,
  to,
];
const spline = (degree: number, knots: readonly number[], points: readonly (readonly [number, number])[]) => [
  '0',
  'SPLINE',
  '8',
  '0',
  70,
  8,
  71,
  degree,
  72,
  knots.length,
  73,
  points.length,
  ...knots.flatMap((k) => [40, k]),
  ...points.flatMap(([x, y]) => [10, x, 20, y]),
];
const turned = (degrees: number, lines: readonly (readonly [number, number, number, number])[]) => {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return lines.flatMap(([x0, y0, x1, y1]) => line(c * x0 - s * y0, s * x0 + c * y0, c * x1 - s * y1, s * x1 + c * y1));
};
const says = (text: string) => read(text).leftOut.map((s) => writeSentence(s, 'mm'));

/** Points evenly along lines and arcs. */
function sampled(segments: readonly Segment[]): readonly (readonly [number, number])[] {
  return segments.flatMap(({ x0, y0, x1, y1, bulge }) =>
    Array.from({ length: 9 }, (_, i) => {
      const t = (i + 0.5) / 9;
      if (bulge === 0) return [x0 + t * (x1 - x0), y0 + t * (y1 - y0)] as const;
      const sweep = 4 * Math.atan(bulge);
      const chord = Math.hypot(x1 - x0, y1 - y0);
      const radius = chord / 2 / Math.sin(Math.abs(sweep) / 2);
      const off = chord / 2 / Math.tan(sweep / 2);
      const [ux, uy] = [(x1 - x0) / chord, (y1 - y0) / chord];
      const [cx, cy] = [(x0 + x1) / 2 - uy * off, (y0 + y1) / 2 + ux * off];
      const from = Math.atan2(y0 - cy, x0 - cx);
      return [cx + radius * Math.cos(from + t * sweep), cy + radius * Math.sin(from + t * sweep)] as const;
    }),
  );
}
const arcsOf = (entity: object, unit = 1) => {
  const made = curveOf(entity as unknown as Parameters<typeof curveOf>[0], unit);
  if (typeof made !== 'object') throw new Error(String(made));
  return made;
};

describe('curves as arcs', () => {
  it.each([
    [40, 25],
    [60, 6],
    [30, 30],
  ])('an ellipse of %s by %s: no point of its arcs is further off than is said', (a, b) => {
    const made = arcsOf({
      type: 'ELLIPSE',
      center: { x: 3, y: -2 },
      majorAxisEndPoint: { x: a, y: 0 },
      axisRatio: b / a,
      startAngle: 0,
      endAngle: 2 * Math.PI,
    });
    // distance to x2 / a2 + y2 / b2 = 1, to first order
    for (const [x, y] of sampled(made)) {
      const [u, v] = [(x - 3) / a, (y + 2) / b];
      const off = (Math.hypot(u, v) - 1) / (Math.hypot(u / a, v / b) / Math.hypot(u, v));
      expect(Math.abs(off)).toBeLessThan(0.006);
    }
    expect(made.length).toBeLessThan(80);
    const last = made.at(-1);
    expect(Math.hypot((last?.x1 ?? 0) - (made[0]?.x0 ?? 0), (last?.y1 ?? 0) - (made[0]?.y0 ?? 0))).toBeLessThan(1e-9);
  });

  it('a spline of four corners is the cubic of Bernstein', () => {
    const p = [
      [0, 0],
      [10, 20],
      [30, 20],
      [40, 5],
    ] as const;
    const made = arcsOf({
      type: 'SPLINE',
      degreeOfSplineCurve: 3,
      knotValues: [0, 0, 0, 0, 1, 1, 1, 1],
      controlPoints: p.map(([x, y]) => ({ x, y })),
    });
    const at = (t: number, k: 0 | 1) => (1 - t) ** 3 * p[0][k] + 3 * t * (1 - t) ** 2 * p[1][k] + 3 * t * t * (1 - t) * p[2][k] + t ** 3 * p[3][k];
    const curve = Array.from({ length: 4001 }, (_, i) => [at(i / 4000, 0), at(i / 4000, 1)] as const);
    for (const [x, y] of sampled(made)) expect(Math.min(...curve.map(([u, v]) => Math.hypot(x - u, y - v)))).toBeLessThan(0.012);
    expect([made[0]?.x0, made[0]?.y0, made.at(-1)?.x1, made.at(-1)?.y1]).toEqual([0, 0, 40, 5]);
  });

  it('is as close in a file of inches', () => {
    const own = { type: 'ELLIPSE', center: { x: 0, y: 0 }, majorAxisEndPoint: { x: 2, y: 0 }, axisRatio: 0.4, startAngle: 0, endAngle: 2 * Math.PI };
    expect(arcsOf(own, 25.4).length).toBeGreaterThan(arcsOf(own, 1).length);
  });

  it.each([
    ['weights', { type: 'SPLINE', rational: true, controlPoints: [{ x: 0, y: 0 }] }, 'spline with weights'],
    ['too few knots', { type: 'SPLINE', degreeOfSplineCurve: 3, knotValues: [0, 1], controlPoints: [{ x: 0, y: 0 }] }, 'spline that is none'],
    ['no size', { type: 'ELLIPSE', center: { x: 0, y: 0 }, majorAxisEndPoint: { x: 0, y: 0 }, axisRatio: 1 }, 'ellipse that is none'],
    ['no number', { type: 'ELLIPSE', center: { x: NaN, y: 0 }, majorAxisEndPoint: { x: 1, y: 0 }, axisRatio: 1 }, 'ellipse that is none'],
  ])('%s: a word for it', (_, entity, word) => {
    expect(curveOf(entity as unknown as Parameters<typeof curveOf>[0], 1)).toBe(word);
  });
});

it('a half profile with a quarter of an ellipse comes in as rows of arcs, and says how close', () => {
  const text = file([...line(0, 0, 0, 15), ...line(0, 15, 40, 15), ...ellipse(40, 0, 20, 15, 0, Math.PI / 2)], { units: 4 });
  const made = read(text);
  expect(made.drawing.outside.length).toBeGreaterThan(2);
  expect(made.off).toBeLessThan(0.02);
  expect(says(text)).toContainEqual('1 ellipse or spline is taken as arcs within 0.005 mm');
});

it('a half profile with a spline comes in too', () => {
  const made = read(
    file(
      [
        ...line(0, 0, 0, 15),
        ...line(0, 15, 20, 15),
        ...spline(
          3,
          [0, 0, 0, 0, 1, 1, 1, 1],
          [
            [20, 15],
            [30, 15],
            [30, 10],
            [40, 10],
          ],
        ),
        ...line(40, 10, 60, 10),
        ...line(60, 10, 60, 0),
      ],
      { units: 4 },
    ),
  );
  expect(rows(made)[0]).toBe('20 x 20');
  expect(made.off).toBeLessThan(0.02);
});

describe('an outline that lies askew', () => {
  const half = [
    [0, 0, 0, 15],
    [0, 15, 25, 15],
    [25, 15, 25, 10],
    [25, 10, 35, 10],
    [35, 10, 35, 0],
  ] as const;
  const full = [...half, ...half.map(([x0, y0, x1, y1]) => [x0, -y0, x1, -y1] as const)];
  it.each([30, -12.5, 44, 75])('turned by %s degrees the same rows', (degrees) => {
    const text = file(turned(degrees, full), { units: 4 });
    expect([
      ['20 x 10', '30 x 25'],
      ['30 x 25', '20 x 10'],
    ]).toContainEqual(rows(read(text)).map((r) => r.replace(/(\d+\.\d+)/g, (n) => String(Number(Number(n).toFixed(4))))));
    expect(says(text).some((s) => s.includes('turned back'))).toBe(true);
  });
  it('one that lies level is not turned for a taper in it', () => {
    expect(says(file([...line(0, 0, 0, 15), ...line(0, 15, 60, 5), ...line(60, 5, 60, 0)], { units: 4 })).some((s) => s.includes('turned'))).toBe(
      false,
    );
  });
});

describe('a bush drawn as its two walls', () => {
  const wall = (x0: number, y0: number, x1: number, y1: number) =>
    poly([
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ]);
  it.each([
    ['level', [...wall(0, 8, 40, 15), ...wall(0, -15, 40, -8)]],
    ['upright', [...wall(8, 0, 15, 40), ...wall(-15, 0, -8, 40)]],
    ['short and wide', [...wall(0, 30, 6, 45), ...wall(0, -45, 6, -30)]],
    ['away from zero', [...wall(100, 208, 140, 215), ...wall(100, 185, 140, 192)]],
  ])('%s', (name, entities) => {
    const made = read(file(entities, { units: 4 }));
    expect(rows(made)).toEqual([name === 'short and wide' ? '90 x 6' : '30 x 40']);
    expect(made.drawing.boreRight.map((b) => `${b.size.text} ${b.length.text}`)).toEqual([name === 'short and wide' ? '60 through' : '16 through']);
  });
});

describe('gaps', () => {
  const broken = file([...line(0, 0, 0, 15), ...line(0, 15, 24.8, 15), ...line(25, 15, 25, 10), ...line(25, 10, 35, 10), ...line(35, 10, 35, 0)], {
    units: 4,
  });
  it('are told where they stay open', () => {
    const made = read(broken);
    expect(made.open).toEqual([expect.closeTo(0.2, 9)]);
    expect(says(broken)).toContainEqual('a gap of 0.200 mm at Ø30 mm, 10.1 mm from end A, stays open');
  });
  it('and closed up to a limit that was typed, which is told too', () => {
    const made = readDxf(broken, { units: 'mm', gap: 0.25 });
    if (!made.ok) throw new Error('not read');
    expect(rows(made)).toEqual(['20 x 10', '30 x 25']);
    expect(made.open).toEqual([]);
    expect(made.leftOut.map((s) => writeSentence(s, 'mm'))).toContainEqual('a gap of 0.200 mm at Ø30 mm, 10.1 mm from end A, is closed by a line');
  });
  it('none are seen in an outline that is whole', () => {
    expect(read(file(stepped)).open).toEqual([]);
  });
});

describe('numbers that are none', () => {
  it('a line with one is left out whole, and said', () => {
    expect(says(file([...stepped, ...line(1, 2, NaN, 4)]))).toContainEqual('1 × line with a number that is none');
    expect(
      says(
        file([
          ...stepped,
          ...poly([
            [50, 1],
            [NaN, 3],
            [60, 4],
          ]),
        ]),
      ),
    ).toContainEqual('1 × lwpolyline with a number that is none');
  });
  it('an outline larger than any lathe is refused', () => {
    expect(refusal(file([...stepped, ...line(0, 0, 4e9, 0)], { units: 4 }))).toMatch(/no lathe turns that/);
    expect(refusal(file([...stepped, ...line(0, 0, Infinity, 0)], { units: 4 }))).toBe('');
  });
});

it('of a long zigzag it is said that it has too many pieces', () => {
  const many = Array.from({ length: 20_000 }, (_, i) => line(i / 10, 10 + (i % 2), (i + 1) / 10, 10 + ((i + 1) % 2))).flat();
  expect(refusal(file([...line(0, 0, 0, 10), ...many], { units: 4 }))).toMatch(/^the outline has \d+ pieces/);
});
