import fc from 'fast-check';
import { blankDrawing, type Drawing, type Section } from '../document';
import { applyEdits, findingKey } from '../finding';
import { frusta, partsByConstruction } from './parts.fixture';
import { readDrawing } from './readDrawing';
import { flattened, volumeOf } from './solid';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const drawing = (outside: Section[], more: Partial<Drawing> = {}): Drawing => ({ ...blankDrawing(), title: { edges: 'broken' }, outside, ...more });

interface Point {
  readonly z: number;
  readonly r: number;
}
const side = (a: Point, b: Point, p: Point) => (b.z - a.z) * (p.r - a.r) - (b.r - a.r) * (p.z - a.z);

/** Two edges of a polygon cross in their insides. */
function crosses(points: readonly Point[]): boolean {
  const eps = 1e-9;
  return points.some((a, i) => {
    const b = points[(i + 1) % points.length] ?? a;
    return points.some((c, j) => {
      const d = points[(j + 1) % points.length] ?? c;
      if (j <= i + 1 || (i === 0 && j === points.length - 1)) return false;
      return side(a, b, c) * side(a, b, d) < -eps && side(c, d, a) * side(c, d, b) < -eps;
    });
  });
}

describe('parts that are right by construction', () => {
  it('give a simple closed contour that runs counter-clockwise, and no stop', () => {
    fc.assert(
      fc.property(partsByConstruction, (made) => {
        const part = readDrawing(made);
        expect(part.findings.filter((f) => f.severity === 'stop').map(findingKey)).toEqual([]);
        const points = flattened(part.contour, 0.01);
        expect(points.every((p) => p.r >= 0 && p.z <= 1e-9 && p.z >= -part.length - 1e-9)).toBe(true);
        expect(crosses(points)).toBe(false);
        const area = points.reduce(
          (sum, a, i) => sum + a.z * (points[(i + 1) % points.length]?.r ?? 0) - (points[(i + 1) % points.length]?.z ?? 0) * a.r,
          0,
        );
        expect(area).toBeGreaterThan(0);
        expect(volumeOf(part.contour)).toBeGreaterThan(0);
      }),
      { numRuns: 300 },
    );
  });

  it('have the volume of their frusta to 1e-9', () => {
    fc.assert(
      fc.property(frusta, ([made, volume]) => {
        expect(Math.abs(volumeOf(readDrawing(made).contour) / volume - 1)).toBeLessThan(1e-9);
      }),
      { numRuns: 300 },
    );
  });
});

/* each with the one defect that is planted in it, and nothing else wrong */
const planted: readonly (readonly [key: string, d: Drawing])[] = [
  ['size-unknown@a.diameter', drawing([row('a', 'about 20', '30')])],
  ['length-missing@a.length', drawing([row('a', '20', '')])],
  ['length-unknown@a.length', drawing([row('a', '20', 'long')])],
  ['chain-does-not-add-up@overall', drawing([row('a', '20', '30'), row('b', '25', '30')], { overall: mm('61') })],
  ['over-dimensioned@overall', drawing([row('a', '20', '30'), row('b', '25', '30')], { overall: mm('60') })],
  ['row-inside-out@b.length', drawing([row('a', '20', '30'), row('b', '25', '20', { from: 'right' })])],
  ['face-unknown@b.length', drawing([row('a', '20', '30'), row('b', '25', '20', { from: 'gone.far' })])],
  ['shape-impossible@a.diameter', drawing([row('a', 'ball 20', '25')])],
  ['shape-impossible@a.diameter', drawing([row('a', '20 > 20 R5 hollow', '30')])],
  ['shape-impossible@a.diameter', drawing([row('a', '20 > 1:1', '30')])],
  ['nominal-excluded@a.diameter', drawing([row('a', '25 -0.02 -0.05', '30')])],
  ['thread-longer-than-row@a.thread', drawing([row('a', 'M12', '18', { usable: mm('18') }), row('b', '20', '10')])],
  ['thread-without-relief@a.far', drawing([row('a', 'M12', '18', { far: mm('sharp') }), row('b', '20', '10')])],
  ['thread-special@a.thread', drawing([row('a', 'M12x1.1', '30')])],
  ['edge-does-not-fit@b.near', drawing([row('a', '20', '30'), row('b', '20', '10', { near: mm('1') })])],
  ['edge-does-not-fit@b.near', drawing([row('a', '20', '30'), row('b', '22', '10', { near: mm('R3') })])],
  ['edge-does-not-fit@a.far', drawing([row('a', '20', '30', { far: mm('F0.6x0.3') }), row('b', '22', '10')])],
  ['edge-unknown@a.near', drawing([row('a', '20', '30', { near: mm('about 2') })])],
  ['finish-unknown@a.finish', drawing([row('a', '20', '30', { finish: mm('fine') })])],
  ['hole-through@h.length', drawing([row('a', '20', '30')], { boreRight: [row('h', '8', '29')] })],
  ['holes-meet@h.length', drawing([row('a', '20', '30')], { boreRight: [row('h', '8', '16')], boreLeft: [row('g', '8', '16')] })],
  ['hole-too-wide@h.diameter', drawing([row('a', '20', '30')], { boreLeft: [row('h', '20', '10')] })],
  ['wall-thin@h.diameter', drawing([row('a', '20', '30')], { boreLeft: [row('h', '19.4', '10', { far: mm('flat') })] })],
  [
    'wall-thin@h.diameter',
    drawing([row('a', '20', '30')], {
      boreRight: [row('h', '12', 'through')],
      details: [{ id: 'g', kind: 'groove', on: 'a', at: mm('10'), length: mm('3'), size: mm('12.6') }],
    }),
  ],
  ['through-not-last@h.length', drawing([row('a', '20', '30')], { boreRight: [row('h', '8', 'through'), row('i', '6', '5')] })],
  ['through-twice@g.length', drawing([row('a', '20', '30')], { boreRight: [row('h', '8', 'through')], boreLeft: [row('g', '8', 'through')] })],
  [
    'detail-outside-row@g',
    drawing([row('a', '20', '30')], { details: [{ id: 'g', kind: 'groove', on: 'a', at: mm('29'), length: mm('3'), size: mm('16') }] }),
  ],
  [
    'groove-cuts-nothing@g',
    drawing([row('a', '20', '30')], { details: [{ id: 'g', kind: 'groove', on: 'a', at: mm('5'), length: mm('3'), size: mm('22') }] }),
  ],
  [
    'grooves-overlap@h',
    drawing([row('a', '20', '30')], {
      details: ['g', 'h'].map((id, i) => ({ id, kind: 'groove' as const, on: 'a', at: mm(String(5 + i)), length: mm('3'), size: mm('16') })),
    }),
  ],
  [
    'detail-orphaned@g',
    drawing([row('a', '20', '30')], { details: [{ id: 'g', kind: 'groove', on: 'gone', at: mm('5'), length: mm('3'), size: mm('16') }] }),
  ],
  ['detail-misplaced@g', drawing([row('a', '20', '30')], { details: [{ id: 'g', kind: 'centre', on: 'a', at: mm(''), size: mm('A 2.5') }] })],
  ['detail-unknown@g', drawing([row('a', '21.5', '30')], { details: [{ id: 'g', kind: 'ringGroove', on: 'a', at: mm('5'), size: mm('') }] })],
  ['detail-place@g', drawing([row('a', '20', '30')], { details: [{ id: 'g', kind: 'ringGroove', on: 'a', at: mm(''), size: mm('') }] })],
  ['seat-without-lead-in@a.near', drawing([row('a', '25 k6', '30'), row('b', '30', '10')])],
  ['unit-slip@b.length', drawing([row('a', '20', '20'), row('b', '25', '.75'), row('c', '30', '25')])],
  [
    'unit-slip@b.length',
    drawing(
      [row('a', '20', '20'), row('b', '25', '20'), row('c', '30', '25')].map((r) =>
        r.id === 'b' ? { ...r, length: { text: '20', units: 'in' as const } } : r,
      ),
    ),
  ],
  ['relation-orphaned@r', drawing([row('a', '20', '30')], { relations: [{ id: 'r', kind: 'runout', of: 'a', to: 'gone', value: mm('0.02') }] })],
  ['relation-unknown@r', drawing([row('a', '20', '30')], { relations: [{ id: 'r', kind: 'runout', of: 'a', to: 'axis', value: mm('') }] })],
  ['mate-orphaned@m', drawing([row('a', '20', '30')], { mates: [{ id: 'm', of: 'gone', piece: 'wheel', want: mm('H7/g6') }] })],
  ['mate-unknown@m', drawing([row('a', '20', '30')], { mates: [{ id: 'm', of: 'a', piece: 'wheel', want: mm('nice') }] })],
  ['mate-not-measured@m', drawing([row('a', '20', '30')], { mates: [{ id: 'm', of: 'a', piece: 'wheel', want: mm('clearance 0.05') }] })],
  [
    'mate-temperature@m',
    drawing([row('a', '20', '30')], {
      mates: [{ id: 'm', of: 'a', piece: 'wheel', want: mm('clearance 0.05'), measured: { readings: [mm('20.1')], gauge: 'g', celsius: 35 } }],
    }),
  ],
  [
    'limits-disagree@m',
    drawing([row('a', '20 h6', '30')], {
      mates: [{ id: 'm', of: 'a', piece: 'wheel', want: mm('clearance 0.05'), measured: { readings: [mm('20.1')], gauge: 'g' } }],
    }),
  ],
  [
    'press-exceeds-yield@m',
    drawing([row('a', '20', '30', { near: mm('1x15') })], {
      mates: [{ id: 'm', of: 'a', piece: 'hub', want: mm('interference 0.06'), measured: { readings: [mm('20')], gauge: 'g' } }],
    }),
  ],
];

describe('each planted defect', () => {
  it.each(planted)('%s is told, and only it', (key, d) => {
    expect(readDrawing(d).findings.map(findingKey)).toEqual([key]);
  });

  it('one note tells of edges that nothing is said of; a line on the drawing quiets it', () => {
    const open = { ...drawing([row('a', '20', '30')]), title: {} };
    const [note] = readDrawing(open).findings;
    expect(note).toMatchObject({ code: 'edges-sharp', severity: 'note' });
    expect(readDrawing(applyEdits({ drawing: open }, note?.mends[0]?.edits ?? []).drawing).findings).toEqual([]);
  });

  it('every fix that is offered takes its finding away and brings no stop', () => {
    for (const [, d] of planted)
      for (const finding of readDrawing(d).findings)
        for (const mend of finding.mends) {
          const after = readDrawing(applyEdits({ drawing: d }, mend.edits).drawing).findings;
          expect(after.map(findingKey)).not.toContain(findingKey(finding));
          expect([findingKey(finding), after.filter((f) => f.severity === 'stop').map(findingKey)]).toEqual([findingKey(finding), []]);
        }
  });

  it('a size done by eye never nags', () => {
    const d = drawing([row('a', '25 k6', '30'), row('b', '30', '10')]);
    expect(readDrawing({ ...d, care: { 'a.near': 'byEye' } }).findings).toEqual([]);
  });
});

describe('any text in any cell', () => {
  const known = [
    '25',
    'M12',
    '1/2-13',
    '20 h6',
    '',
    '-1',
    '1e9',
    'hex 17',
    'bar 20',
    '20 > 15',
    'ball 20',
    'MT2',
    '20 > 15 R30',
    'through',
    'R2',
    '1x45',
    'F0.6x0.3',
    'DIN 76',
    'flat',
    '118',
    'clearance 0.05',
    'round 3',
    'O-ring 2.62',
    'diamond 1',
    'A 2.5',
    '3 x 4',
  ];
  const text = fc.oneof(fc.string({ maxLength: 14 }), fc.constantFrom(...known));
  const cell = text.map(mm);
  const section = (id: string) =>
    fc
      .record({
        size: cell,
        length: cell,
        near: cell,
        far: cell,
        usable: cell,
        finish: cell,
        from: fc.constantFrom('right', 'left', 's0.far', 's1.near', 'x'),
        has: fc.boolean(),
      })
      .map(({ has, from, ...cells }): Section => ({ id, ...cells, ...(has && { from }) }));
  const list = (letter: string, most: number) =>
    fc.array(fc.nat(), { maxLength: most }).chain((a) => fc.tuple(...a.map((_, i) => section(`${letter}${String(i)}`))));
  const kinds = [
    'groove',
    'ringGroove',
    'faceGroove',
    'knurl',
    'centre',
    'countersink',
    'mark',
    'crossHole',
    'flat',
    'hexagon',
    'keyway',
    'slot',
    'boltCircle',
  ] as const;
  const details = fc
    .array(
      fc.record({
        kind: fc.constantFrom(...kinds),
        on: fc.constantFrom('right', 'left', 's0', 's1', 'h0', 'x'),
        at: cell,
        length: cell,
        size: cell,
        angle: cell,
        count: fc.integer({ min: 1, max: 99 }),
      }),
      { maxLength: 4 },
    )
    .map((all) => all.map((d, i) => ({ id: `d${String(i)}`, ...d })));
  const mates = fc
    .array(fc.record({ of: fc.constantFrom('s0', 'h0.diameter', 'x'), want: cell, readings: fc.array(cell, { minLength: 1, maxLength: 3 }) }), {
      maxLength: 2,
    })
    .map((all) => all.map(({ of, want, readings }, i) => ({ id: `m${String(i)}`, of, piece: 'wheel', want, measured: { readings, gauge: 'g' } })));

  it('gives findings, never an exception, and numbers that are numbers', () => {
    fc.assert(
      fc.property(list('s', 4), list('h', 3), list('g', 2), details, mates, cell, (outside, boreRight, boreLeft, cuts, mated, overall) => {
        const part = readDrawing(drawing([...outside], { boreRight: [...boreRight], boreLeft: [...boreLeft], details: cuts, mates: mated, overall }));
        expect(part.length).toBeGreaterThanOrEqual(0);
        expect(part.contour.every((v) => Number.isFinite(v.z) && Number.isFinite(v.r) && Number.isFinite(v.bulge))).toBe(true);
        expect(part.characteristics.every((c) => c.limits === undefined || c.limits.max >= c.limits.min - 1e-9)).toBe(true);
      }),
      { numRuns: 600 },
    );
  });
});
