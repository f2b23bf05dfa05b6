/* Whole parts: their volume against solids of school geometry and against the centroid theorem on a general library's polygons; their faces, cuts and edges. */
import { polygonArea, polygonCentroid } from 'd3-polygon';
import { blankDrawing, type Detail, type Drawing, type Section } from '../document';
import { findingKey } from '../finding';
import { readDrawing } from './readDrawing';
import { flattened, volumeOf, volumeOfPart } from './solid';
import { stackOf, workingLengths } from './stack';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const part = (outside: Section[], more: Partial<Drawing> = {}) =>
  readDrawing({ ...blankDrawing(), title: { edges: 'all edges broken 0.2 mm' }, outside, ...more });
const detail = (id: string, kind: Detail['kind'], on: string, at: string, size: string, more: Partial<Detail> = {}): Detail => ({
  id,
  kind,
  on,
  at: mm(at),
  size: mm(size),
  ...more,
});

const cylinder = (d: number, l: number) => (Math.PI / 4) * d ** 2 * l;
const frustum = (a: number, b: number, l: number) => (Math.PI / 12) * l * (a ** 2 + a * b + b ** 2);
const cap = (r: number, h: number) => (Math.PI / 3) * h ** 2 * (3 * r - h);

const solids: readonly (readonly [name: string, made: ReturnType<typeof part>, volume: number])[] = [
  ['a cylinder', part([row('a', '20', '30')]), cylinder(20, 30)],
  ['a ball', part([row('a', 'ball 20', '20')]), (4 / 3) * Math.PI * 1000],
  ['a ball on a stem', part([row('a', 'ball 20', '18'), row('b', '12', '30')]), (4 / 3) * Math.PI * 1000 - cap(10, 2) + cylinder(12, 30)],
  [
    'a stem with a ball at its left end',
    part([row('b', '12', '30'), row('a', 'ball 20', '18')]),
    (4 / 3) * Math.PI * 1000 - cap(10, 2) + cylinder(12, 30),
  ],
  ['a taper by its ends', part([row('a', '20 > 15', '40')]), frustum(20, 15, 40)],
  ['a taper by its ratio', part([row('a', '20 1:10', '40')]), frustum(20, 16, 40)],
  ['a taper that widens', part([row('a', '16 < 1:10', '40')]), frustum(16, 20, 40)],
  ['a taper by its included angle', part([row('a', '20 > 90°', '5')]), frustum(20, 10, 5)],
  ['a taper by inches a foot', part([row('a', '20 > .6/ft', '40')]), frustum(20, 18, 40)],
  [
    'Morse 2 at the left end',
    part([row('h', '25', '20'), row('a', 'MT2', '64')]),
    cylinder(25, 20) + frustum(17.78, 17.78 - (0.59941 / 12) * 64, 64),
  ],
  [
    'chamfers of 45 and 30 degrees',
    part([row('a', '20', '30', { near: mm('1x45'), far: mm('2x30') })]),
    cylinder(20, 27) + frustum(18, 20, 1) + frustum(20, 20 - 4 * Math.tan(Math.PI / 6), 2),
  ],
  ['a full radius at the end: half a ball', part([row('a', '20', '30', { near: mm('R10') })]), cylinder(20, 20) + (2 / 3) * Math.PI * 1000],
  ['a tube', part([row('a', '30', '40')], { boreRight: [row('h', '20', 'through')] }), cylinder(30, 40) - cylinder(20, 40)],
  [
    'a counterbored tube',
    part([row('a', '30', '40')], { boreRight: [row('g', '20', '10'), row('h', '12', 'through')] }),
    cylinder(30, 40) - cylinder(20, 10) - cylinder(12, 30),
  ],
  [
    'bores from both ends',
    part([row('a', '30', '40')], { boreRight: [row('h', '12', 'through')], boreLeft: [row('g', '20', '10')] }),
    cylinder(30, 40) - cylinder(20, 10) - cylinder(12, 30),
  ],
  [
    'a blind hole with a point of 90 degrees',
    part([row('a', '30', '40')], { boreLeft: [row('h', '12', '20', { far: mm('90') })] }),
    cylinder(30, 40) - cylinder(12, 20) - (Math.PI / 3) * 36 * 6,
  ],
  [
    'a blind hole with a flat bottom',
    part([row('a', '30', '40')], { boreLeft: [row('h', '12', '20', { far: mm('flat') })] }),
    cylinder(30, 40) - cylinder(12, 20),
  ],
  [
    'a countersunk hole',
    part([row('a', '30', '40')], { boreRight: [row('h', '10', 'through')], details: [detail('k', 'countersink', 'h', '', '20')] }),
    cylinder(30, 40) - cylinder(10, 35) - frustum(20, 10, 5),
  ],
  ['a tapered hole', part([row('a', '30', '40')], { boreRight: [row('h', '20 > 15', 'through')] }), cylinder(30, 40) - frustum(20, 15, 40)],
  [
    'a square groove',
    part([row('a', '30', '40')], { details: [detail('g', 'groove', 'a', '10', '24', { length: mm('4') })] }),
    cylinder(30, 40) - cylinder(30, 4) + cylinder(24, 4),
  ],
  [
    'a groove for a retaining ring, DIN 471 (from memory)',
    part([row('a', '20', '40')], { details: [detail('g', 'ringGroove', 'a', '3', '')] }),
    cylinder(20, 40) - cylinder(20, 1.3) + cylinder(19, 1.3),
  ],
  [
    'a groove inside a hole',
    part([row('a', '30', '40')], { boreRight: [row('h', '20', 'through')], details: [detail('g', 'groove', 'h', '5', '24', { length: mm('3') })] }),
    cylinder(30, 40) - cylinder(20, 37) - cylinder(24, 3),
  ],
  [
    'a face groove',
    part([row('a', '40', '20')], { details: [detail('g', 'faceGroove', 'right', '2', '30', { length: mm('4') })] }),
    cylinder(40, 20) - (cylinder(30, 2) - cylinder(22, 2)),
  ],
  [
    'a centre hole A 2.5 (DIN 332, from memory)',
    part([row('a', '20', '40')], { details: [detail('c', 'centre', 'right', '', 'A 2.5')] }),
    (() => {
      const cone = 1.4 * Math.sqrt(3);
      const tip = 1.25 / Math.tan(Math.PI / 3);
      return cylinder(20, 40) - frustum(5.3, 2.5, cone) - cylinder(2.5, 4.6 - cone - tip) - (Math.PI / 3) * 1.25 ** 2 * tip;
    })(),
  ],
];

describe('volume of whole parts', () => {
  it.each(solids)('%s: school geometry', (_, made, volume) => {
    expect(made.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    expect(volumeOf(made.contour) / volume).toBeCloseTo(1, 10);
  });

  it.each(solids)('%s: area and centroid of the half section by a general library (Pappus and Guldin)', (_, made) => {
    const points = flattened(made.contour, 1e-5).map((p): [number, number] => [p.z, p.r]);
    const solid = 2 * Math.PI * polygonCentroid(points)[1] * Math.abs(polygonArea(points));
    expect(solid / volumeOf(made.contour)).toBeCloseTo(1, 5);
  });

  it('an arc along the part is the ring segment of school geometry', () => {
    // hollow of radius 10 and 20 chord in a bar of 40: the half round groove, by Pappus: centroid of a half disc 4 r / (3 pi) from its chord
    const made = part([row('a', '40', '10'), row('b', '40 > 40.0000001 R10 hollow', '20'), row('c', '40', '10')]);
    const halfDisc = (Math.PI / 2) * 100;
    expect(volumeOf(made.contour)).toBeCloseTo(cylinder(40, 40) - 2 * Math.PI * (20 - 40 / (3 * Math.PI)) * halfDisc, 2);
    const groove = part([row('a', '40', '40')], { details: [detail('g', 'groove', 'a', '10', 'round 20')] });
    expect(volumeOf(groove.contour)).toBeCloseTo(cylinder(40, 40) - 2 * Math.PI * (20 - 40 / (3 * Math.PI)) * halfDisc, 6);
  });

  it('what is not round and what is cut beside the lathe is taken off', () => {
    const hexagon = part([row('a', 'hex 17', '10')]);
    expect(volumeOfPart(hexagon)).toBeCloseTo((Math.sqrt(3) / 2) * 17 ** 2 * 10, 6);
    const square = part([row('a', 'square 10', '10')]);
    expect(volumeOfPart(square)).toBeCloseTo(1000, 6);
    const flat = part([row('a', '20', '30')], { details: [detail('f', 'flat', 'a', '', '10', { count: 2, length: mm('30') })] });
    // two segments of height 5 in a circle of radius 10: 61.4184849 mm2 each
    expect(volumeOfPart(flat)).toBeCloseTo(cylinder(20, 30) - 2 * 61.4184849304 * 30, 5);
    // equal cylinders crossing take 16/3 r^3 from each other (Archimedes)
    const crossed = part([row('a', '20', '60')], { details: [detail('x', 'crossHole', 'a', '30', '19.99999')] });
    expect(volumeOfPart(crossed)).toBeCloseTo(cylinder(20, 60) - (16 / 3) * 1000, 0);
    const keyed = part([row('a', '20', '60')], { details: [detail('k', 'keyway', 'a', '5', '', { length: mm('20') })] });
    expect(volumeOfPart(keyed)).toBeCloseTo(cylinder(20, 60) - 6 * 3.5 * 20, 6);
  });
});

describe('faces and lengths', () => {
  it('a length may start at any face', () => {
    const made = part([row('a', '20', '10'), row('b', '25', '40', { from: 'right' }), row('c', '30', '15', { from: 'left', to: 'near' })]);
    expect(made.features.map((f) => [f.near, f.far])).toEqual([
      [0, -10],
      [-10, -40],
      [-40, -55],
    ]);
    const fromShoulder = part([row('a', '20', '10'), row('b', '25', '30'), row('c', '30', '40', { from: 'a.far' })]);
    expect(fromShoulder.features[2]).toMatchObject({ near: -40, far: -50 });
  });

  it('opens a ball by a hole through it: what is left is as a ball as wide as the hole is long (napkin ring theorem)', () => {
    const made = part([row('b', 'ball 30', '30')], { boreRight: [row('h', '8', 'through')] });
    const long = 2 * Math.sqrt(15 ** 2 - 4 ** 2);
    expect(volumeOfPart(made)).toBeCloseTo((4 / 3) * Math.PI * (long / 2) ** 3, 6);
    expect(Math.max(...made.contour.map((v) => v.z))).toBeCloseTo(-(30 - long) / 2, 9);
    expect(made.findings.filter((f) => f.code !== 'edges-sharp').map((f) => `${f.code}@${f.about}`)).toEqual([
      'ball-opened@b.near',
      'ball-opened@b.far',
    ]);
  });

  it('taps a ball knob on its stem side and at its pole', () => {
    const knob = part([row('c', '15', '20'), row('b', 'ball 30', '26')], { boreLeft: [row('h', 'M8', '12')] });
    expect(knob.findings.filter((f) => f.severity === 'stop')).toEqual([]);
  });

  it('stacks the tolerances of any distance: 10 +/-0.1 and 30 +/-0.2 come to 40 +/-0.3 at worst', () => {
    const made = part([row('a', '20', '10 +/-0.1'), row('b', '25', '30 +/-0.2'), row('c', '30', '50 +/-0.05', { from: 'right' })]);
    expect(stackOf(made, 'right', 'b.far')).toMatchObject({
      nominal: { value: 40 },
      max: { value: expect.closeTo(40.3, 9) as number },
      min: { value: expect.closeTo(39.7, 9) as number },
      through: ['a', 'b'],
    });
    // the closing distance carries all three: 50 - 40 +/-0.35; likely spread by the root of squares
    const closing = stackOf(made, 'b.far', 'left');
    expect(closing).toMatchObject({
      nominal: { value: 10 },
      max: { value: expect.closeTo(10.35, 9) as number },
      min: { value: expect.closeTo(9.65, 9) as number },
    });
    expect(closing?.spread.value).toBeCloseTo(Math.hypot(0.2, 0.4, 0.1), 9);
  });

  it('gives working lengths that keep every drawn one whatever the others do', () => {
    const made = part([row('a', '20', '10 +/-0.1'), row('b', '25', '30 +/-0.2'), row('c', '30', '20 +/-0.3')]);
    const work = workingLengths(made, 'right');
    expect(work.map((w) => [w.face, w.direct])).toEqual([
      ['a.far', true],
      ['b.far', false],
      ['left', false],
    ]);
    const half = Object.fromEntries(work.map((w) => [w.face, (w.max.value - w.min.value) / 2]));
    // a.far and b.far share 0.2: 0.1 each; b.far and left share 0.3: 0.2 left for the left face
    expect(half['a.far']).toBeCloseTo(0.1, 9);
    expect(half['b.far']).toBeCloseTo(0.1, 9);
    expect(half['left']).toBeCloseTo(0.2, 9);
  });

  it('says which length is one too many, and which does not add up', () => {
    const rows = [row('a', '20', '10'), row('b', '25', '40')];
    expect(part(rows, { overall: mm('50') }).findings.map(findingKey)).toContain('over-dimensioned@overall');
    expect(part(rows, { overall: mm('52') }).findings.map(findingKey)).toContain('chain-does-not-add-up@overall');
  });
});
