/* The turned solid: volume against hand-computed bodies, and the triangles that leave by STL against the volume. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseJob } from '../document';
import { type Contour, flattened, readDrawing, readLine, trianglesOf, volumeOf } from '../drawing';
import { formulas } from '../quantity';
import { writeStl } from './stl';

const contour = (...points: readonly (readonly [z: number, r: number])[]): Contour => points.map(([z, r]) => ({ z, r, bulge: 0, of: '' }));

/* elementary solids; formulas of school geometry */
const bodies: readonly (readonly [name: string, shape: Contour, volume: number])[] = [
  ['cylinder of 20 x 50', contour([-50, 0], [0, 0], [0, 10], [-50, 10]), Math.PI * 100 * 50],
  ['cone of 20 x 30', contour([-30, 0], [0, 0], [-30, 10]), (Math.PI * 100 * 30) / 3],
  ['frustum 20 to 10 in 40', contour([-40, 0], [0, 0], [0, 5], [-40, 10]), (Math.PI * 40 * (25 + 50 + 100)) / 3],
  ['washer 30 / 13 x 3', contour([-3, 6.5], [0, 6.5], [0, 15], [-3, 15]), Math.PI * 3 * (225 - 42.25)],
  [
    'cylinder of 20 x 50 with a flat hole of 8 x 20',
    contour([-50, 0], [-20, 0], [-20, 4], [0, 4], [0, 10], [-50, 10]),
    Math.PI * (100 * 50 - 16 * 20),
  ],
];

const demo = (name: string): Contour => {
  const parsed = parseJob(JSON.parse(readFileSync(join(__dirname, '..', '..', '..', 'demo', `${name}.json`), 'utf8')));
  if (!parsed.ok) throw new Error(name);
  return readDrawing(parsed.value.drawing).contour;
};
const parts = [
  ...bodies.map(([name, shape]) => [name, shape] as const),
  ...['sheave-axle', 'pintle-pin', 'mast-dowel', 'windlass-spindle', 'chainplate-ring', 'rudder-shaft', 'worn-tiller-pin'].map(
    (name) => [name, demo(name)] as const,
  ),
];

describe('volume', () => {
  it.each(bodies)('%s', (_, shape, volume) => {
    expect(volumeOf(shape) / volume).toBeCloseTo(1, 12);
  });

  it.each(parts)('%s: against slices, integrated', (_, shape) => {
    const [from, to] = [Math.min(...shape.map((v) => v.z)), Math.max(...shape.map((v) => v.z))];
    const slices = 60_000;
    let sum = 0;
    for (let i = 0; i < slices; i++) {
      const z = from + ((i + 0.5) * (to - from)) / slices;
      // the outline is crossed outwards and inwards: squares of the radii count plus and minus
      shape.forEach((a, k) => {
        const b = shape[(k + 1) % shape.length] ?? a;
        if (a.z <= z === b.z <= z) return;
        const r = a.r + ((z - a.z) / (b.z - a.z)) * (b.r - a.r);
        sum += (b.z < a.z ? 1 : -1) * r * r;
      });
    }
    expect((Math.PI * sum * (to - from)) / slices / volumeOf(shape)).toBeCloseTo(1, 3);
  });

  it('a typed line: three plain steps are the sum of their cylinders; steel of 7870 kg/m3', () => {
    const read = readLine('12 x 18; 19 x 25; 25 x 38', 'mm');
    if (!read.ok) throw new Error('the line does not read');
    const part = readDrawing(read.value);
    const volume = (Math.PI / 4) * (144 * 18 + 361 * 25 + 625 * 38);
    expect(volumeOf(part.contour)).toBeCloseTo(volume, 6);
    expect(formulas.mass.compute({ volume: volumeOf(part.contour), density: 7870 })).toBeCloseTo(volume * 7870e-9, 9);
  });
});

describe('STL', () => {
  it.each(parts)('%s is closed: every edge is run through once each way', (_, shape) => {
    const edges = new Map<string, number>();
    const key = (p: readonly number[]) => p.map((v) => v.toFixed(6)).join(' ');
    for (const [a, b, c] of trianglesOf(shape, 24))
      for (const [p, q] of [
        [a, b],
        [b, c],
        [c, a],
      ] as const) {
        edges.set(`${key(p)}|${key(q)}`, (edges.get(`${key(p)}|${key(q)}`) ?? 0) + 1);
      }
    for (const [edge, times] of edges) {
      const [p, q] = edge.split('|');
      expect(times).toBe(1);
      expect(edges.get(`${q ?? ''}|${p ?? ''}`)).toBe(1);
    }
  });

  it.each(parts)('%s holds the volume of its strips, inside out nowhere', (_, shape) => {
    const steps = 128;
    const signed = trianglesOf(shape, steps).reduce(
      (sum, [a, b, c]) => sum + (a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0])) / 6,
      0,
    );
    const chords = flattened(shape, 0.005).map((p) => ({ ...p, bulge: 0 }));
    expect(signed / (volumeOf(chords) * (steps / (2 * Math.PI)) * Math.sin((2 * Math.PI) / steps))).toBeCloseTo(1, 9);
    expect(volumeOf(chords) / volumeOf(shape)).toBeCloseTo(1, 4);
  });

  it('is written as facets with a normal and three corners, under a plain name', () => {
    const text = writeStl('Bolzen Ø12', trianglesOf(bodies[0]?.[1] ?? [], 12));
    expect(text.startsWith('solid Bolzen 12\n facet normal ')).toBe(true);
    expect(text.match(/ facet normal/g)).toHaveLength(12 + 24 + 12);
    expect(text.match(/^ {3}vertex( -?[\d.e-]+){3}$/gm)).toHaveLength(3 * 48);
    expect(text).not.toContain('NaN');
    expect(() => trianglesOf([], 2)).toThrow(RangeError);
  });
});
