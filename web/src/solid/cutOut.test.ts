/* Flats, holes, keyways and slots really cut out of the turned solid, by a general solid library: its volume against the closed forms of geometry. */
import { blankDrawing, type Detail, type Section as Row } from '@obra/core/document';
import { type Part, readDrawing, volumeOf, volumeOfPart } from '@obra/core/drawing';
import { cutOut, turnedSolid } from './cutOut';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Row => ({ id, size: mm(size), length: mm(length) });
const detail = (kind: Detail['kind'], on: string, size: string, at = '', more: Partial<Detail> = {}): Detail => ({
  id: kind,
  kind,
  on,
  at: mm(at),
  size: mm(size),
  ...more,
});
const part = (outside: readonly Row[], details: readonly Detail[], bore: readonly Row[] = []): Part =>
  readDrawing({ ...blankDrawing(), outside: [...outside], boreRight: [...bore], details: [...details] });

function held(corners: Float32Array): number {
  let sum = 0;
  for (let i = 0; i < corners.length; i += 9) {
    const [ax = 0, ay = 0, az = 0, bx = 0, by = 0, bz = 0, cx = 0, cy = 0, cz = 0] = corners.subarray(i, i + 9);
    sum += (ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx)) / 6;
  }
  return sum;
}

const shaft = [row('a', '30', '40')];
const cases: readonly (readonly [string, Part, number])[] = [
  // segment: r2 acos((r - h) / r) - (r - h) sqrt(2 r h - h2)
  ['a flat of 26 across 30', part(shaft, [detail('flat', 'a', '26')]), 40 * (225 * Math.acos(11 / 15) - 11 * Math.sqrt(2 * 15 * 4 - 16))],
  ['a hexagon of 24 on 30, corners rounded', part(shaft, [detail('hexagon', 'a', '24')]), NaN],
  [
    'a hexagon of 20 on 30 for 15',
    part([row('a', '30', '15'), row('b', '40', '20')], [detail('hexagon', 'a', '20')]),
    15 * (Math.PI * 225 - (Math.sqrt(3) / 2) * 400),
  ],
  ['a hole of 8 across 30', part(shaft, [detail('crossHole', 'a', '8', '20')]), NaN],
  ['three tapped holes from outside', part(shaft, [detail('crossHole', 'a', '6 x 8', '20', { count: 3 })]), NaN],
  [
    'six holes of 6.6 through a plate',
    part([row('a', '80', '10')], [detail('boltCircle', 'right', '6.6', '60', { count: 6 })]),
    6 * Math.PI * 3.3 ** 2 * 10,
  ],
  [
    'four holes, counterbored, from B',
    part([row('a', '80', '14')], [detail('boltCircle', 'left', '6.6 cbore 11 x 6', '60', { count: 4 })]),
    4 * Math.PI * (3.3 ** 2 * 8 + 5.5 ** 2 * 6),
  ],
  [
    'six holes through a flange that stands behind a hub',
    part([row('hub', '40', '25'), row('flange', '90', '12')], [detail('boltCircle', 'right', '6.6', '66', { count: 6 })]),
    6 * Math.PI * 3.3 ** 2 * 12,
  ],
  ['a slot of 3 by 4 across the end', part(shaft, [detail('slot', 'right', '3 x 4')]), NaN],
];

describe('what is cut', () => {
  it.each(cases)('%s: as much as geometry has it', (_name, drawn, closed) => {
    const solid = held(cutOut(drawn, 'whole').corners);
    // strips of the turned solid lie within it
    const turned = volumeOf(drawn.contour) * (128 / (2 * Math.PI)) * Math.sin((2 * Math.PI) / 128);
    const taken = volumeOf(drawn.contour) - volumeOfPart(drawn);
    expect(taken).toBeGreaterThan(1);
    if (!Number.isNaN(closed)) expect(taken / closed).toBeCloseTo(1, 6);
    // strips lie within the true round: 0.16 % of 64 of them, 0.04 % of 128
    expect((turned - solid) / taken).toBeGreaterThan(0.997);
    expect((turned - solid) / taken).toBeLessThanOrEqual(1.0001);
  });
});

it('the first look is the turned solid of half as many strips', () => {
  const [, drawn] = cases[2] ?? [];
  if (!drawn) throw new Error('no part');
  expect(held(turnedSolid(drawn).corners) / (volumeOf(drawn.contour) * (64 / (2 * Math.PI)) * Math.sin((2 * Math.PI) / 64))).toBeCloseTo(1, 6);
});

describe('a section', () => {
  const drawn = part(shaft, [], [row('h', '12', 'through')]);
  it.each([
    ['quarter', 3 / 4],
    ['half', 1 / 2],
  ] as const)('a %s takes its share, and shows its faces', (section, left) => {
    const whole = held(cutOut(drawn, 'whole').corners);
    const cut = cutOut(drawn, section);
    expect(held(cut.corners) / whole).toBeCloseTo(left, 3);
    // two faces of 9 by 40 each
    const faces = cut.corners.subarray(3 * cut.metal);
    expect(areaOf(faces)).toBeCloseTo(2 * 9 * 40 - 4 * 0.02, 0);
  });
});

describe('edges', () => {
  const longOf = (edges: Float32Array) => {
    let sum = 0;
    for (let i = 0; i < edges.length; i += 6) sum += Math.hypot(...[0, 1, 2].map((k) => (edges[i + k] ?? 0) - (edges[i + 3 + k] ?? 0)));
    return sum;
  };
  it('of a plain cylinder are its two circles', () => {
    const plain = readDrawing({ ...blankDrawing(), outside: [{ ...row('a', '30', '40'), near: mm('sharp'), far: mm('sharp') }] });
    expect(longOf(cutOut(plain, 'whole').edges) / (2 * Math.PI * 30)).toBeCloseTo(1, 3);
  });

  it('where a face was split for a hole none is drawn across it', () => {
    const plain = readDrawing({
      ...blankDrawing(),
      outside: [{ ...row('a', '30', '40'), near: mm('sharp'), far: mm('sharp') }],
      details: [detail('flat', 'a', '26')],
    });
    // both circles less their arcs, the chords in their place, and two lines along the flat
    const half = Math.acos(11 / 15);
    const chord = 2 * Math.sqrt(225 - 121);
    const wanted = 2 * (2 * Math.PI * 15 - 2 * half * 15 + chord) + 2 * 40;
    expect(longOf(cutOut(plain, 'whole').edges) / wanted).toBeCloseTo(1, 2);
  });
});

/** Sum of the triangles. */
function areaOf(corners: Float32Array): number {
  let sum = 0;
  for (let i = 0; i < corners.length; i += 9) {
    const [ax = 0, ay = 0, az = 0, bx = 0, by = 0, bz = 0, cx = 0, cy = 0, cz = 0] = corners.subarray(i, i + 9);
    const [ux, uy, uz, vx, vy, vz] = [bx - ax, by - ay, bz - az, cx - ax, cy - ay, cz - az];
    sum += Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx) / 2;
  }
  return sum;
}
