import fc from 'fast-check';
import { blankDrawing, type Drawing, type Section } from '../document';
import { applyEdits, findingKey } from '../finding';
import { writeSentence } from '../quantity';
import { area, regionOf } from '../stock';
import { contourOf } from './contour';
import { parseEdge } from './parseEdge';
import { parseFinish, parseLengthCell, parseSize } from './parseSize';
import { readDrawing } from './readDrawing';
import { readLine, unitsOfLine } from './readLine';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const drawing = (outside: Section[], more: Partial<Drawing> = {}): Drawing => ({ ...blankDrawing(), outside, ...more });
const line = (text: string, units: 'mm' | 'in' = 'mm'): Drawing => {
  const read = readLine(text, units);
  if (!read.ok) throw new Error(writeSentence(read.problems[0]?.says ?? [], units));
  return read.value;
};
const codes = (d: Drawing) => readDrawing(d).findings.map(findingKey);

describe('the size cell', () => {
  it.each([
    ['25', 'mm', 25, 25, 25, 'general'],
    ['1"', 'mm', 25.4, 25.4, 25.4, 'general'],
    ['13/16', 'mm', 20.6375, 20.6375, 20.6375, 'general'],
    ['1 1/8', 'in', 28.575, 28.575, 28.575, 'general'],
    ['0.861', 'in', 21.8694, 21.8694, 21.8694, 'general'],
    ['Ø 25', 'mm', 25, 25, 25, 'general'],
    ['25 h6', 'mm', 25, 25, 24.987, 'class'],
    ['25h6', 'in', 635, 635, 634.99, 'unknown'],
    ['25 mm h6', 'in', 25, 25, 24.987, 'class'],
    ['25 -0.02 -0.05', 'mm', 25, 24.98, 24.95, 'typed'],
    ['25 +/-0.05', 'mm', 25, 25.05, 24.95, 'typed'],
    ['25 ±0,05', 'mm', 25, 25.05, 24.95, 'typed'],
    ['.548 +0 -.002', 'in', 13.9192, 13.9192, 13.8684, 'typed'],
    ['3/4 -.001', 'in', 19.05, 19.05, 19.0246, 'typed'],
    ['#7', 'mm', 5.1054, 5.1054, 5.1054, 'general'],
    ['letter F', 'in', 6.5278, 6.5278, 6.5278, 'general'],
  ] as const)('%s in %s', (text, units, nominal, max, min, from) => {
    const size = parseSize(text, units);
    if (from === 'unknown') expect(size.kind).toBe('unknown');
    else
      expect(size).toEqual({
        kind: 'diameter',
        limits: { nominal: expect.closeTo(nominal, 6), max: expect.closeTo(max, 6), min: expect.closeTo(min, 6), from },
      });
  });

  it.each([
    ['M12', 'M12x1.75-6g', false],
    ['M12x1.5', 'M12x1.5-6g', false],
    ['M12x1.5-6g LH', 'M12x1.5-6g LH', true],
    ['1/4-20 UNC-2A', '1/4-20 UNC-2A', false],
  ])('%s is a thread in either unit', (text, designation, leftHand) => {
    for (const units of ['mm', 'in'] as const) expect(parseSize(text, units)).toEqual({ kind: 'thread', designation, leftHand });
  });

  it.each([
    ['bar 25', { kind: 'bar', across: { nominal: 25 } }],
    ['1 in bar', { kind: 'bar', across: { nominal: 25.4 } }],
    ['hex 17', { kind: 'polygon', sides: 6, across: { nominal: 17 } }],
    ['square 10', { kind: 'polygon', sides: 4 }],
    ['ball 20', { kind: 'ball', limits: { nominal: 20 } }],
    ['20 > 15', { kind: 'taper', near: { nominal: 20 }, far: { nominal: 15 } }],
    ['20 h9 > 15 -0.1', { kind: 'taper', near: { max: 20, min: 19.948 }, far: { max: 15, min: 14.9 } }],
    ['20 1:10', { kind: 'taper', slope: 0.1, narrows: 'far' }],
    ['15 < 1:20', { kind: 'taper', slope: 0.05, narrows: 'near' }],
    ['20 > .6/ft', { kind: 'taper', slope: expect.closeTo(0.05, 9) as number, narrows: 'far' }],
    ['20 > 90°', { kind: 'taper', slope: expect.closeTo(2, 9) as number }],
    ['MT2', { kind: 'taper', large: 17.78, name: 'MT2' }],
    ['18 > MT2', { kind: 'taper', near: { nominal: 18 }, name: 'MT2' }],
    ['20 > 15 R30', { kind: 'arc', radius: 30, hollow: false }],
    ['15 > 20 R30 hollow', { kind: 'arc', radius: 30, hollow: true }],
    ['12 H7 reamed', { kind: 'diameter', made: 'reamed', limits: { max: 12.018, min: 12 } }],
    ['1/4-20 BSW', { kind: 'thread' }],
    ['Tr20x4 LH', { kind: 'thread', leftHand: true }],
  ])('%s is understood', (text, size) => {
    expect(parseSize(text, 'mm')).toMatchObject(size);
  });

  it.each([
    ['', 'no size yet'],
    ['-25', '“-25” is negative; a diameter is more than zero'],
    ['0', '“0” is zero; a diameter is more than zero'],
    ['99999', '“99999” is over 10 m; is the unit right?'],
    ['abc', '“abc” is not a size; write 25, 25 h6, 13/16, .548 -.002 or M12x1.5'],
    ['25 q9', 'q9 is not in the table for this size'],
    ['25 about', '“about” after 25 mm is not a tolerance; write h6, +/-0.05, +0 -.002'],
    ['1 -2', 'the tolerance of “1 -2” goes below zero'],
    ['20 > 20', 'both ends are the same size: a cylinder'],
    ['20 > R3', '“R3” is not a size; write 25, 25 h6, 13/16, .548 -.002 or M12x1.5'],
    ['MT9', 'MT9 is not in this table'],
    ['bar', 'write the bar’s own size too: bar 25'],
    ['20 > 15 R', '“R” is not a radius; write 20 > 15 R30'],
    ['20 > 0:10', '“0:10” is no slope of a taper; write 1:10, 8° or .6/ft'],
  ])('%s gets a clear sentence', (text, sentence) => {
    const size = parseSize(text, 'mm');
    expect(size.kind === 'unknown' ? writeSentence(size.says, 'mm') : size.kind).toBe(sentence);
  });

  it('never throws', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 40 }),
        fc.constantFrom('mm' as const, 'in' as const),
        (text, units) => typeof parseSize(text, units).kind === 'string',
      ),
    );
  });
});

describe('length, edge and finish cells', () => {
  it('a length may carry a tolerance', () => {
    expect(parseLengthCell('40 +/-0.1', 'mm')).toMatchObject({ ok: true, value: { nominal: 40, max: 40.1, min: 39.9 } });
    expect(parseLengthCell('1-1/2 -.010', 'in')).toMatchObject({ ok: true, value: { nominal: 38.1 } });
    for (const text of ['', '0', '-1', '40 h6', 'long', '1000000000']) expect(parseLengthCell(text, 'mm').ok).toBe(false);
  });

  it.each([
    ['1x45', { kind: 'chamfer', along: 1, degrees: 45 }],
    ['1 x 45°', { kind: 'chamfer', along: 1, degrees: 45 }],
    ['2x30', { kind: 'chamfer', along: 2, degrees: 30 }],
    ['0.5', { kind: 'chamfer', along: 0.5, degrees: 45 }],
    ['R2', { kind: 'radius', radius: 2 }],
    ['sharp', { kind: 'sharp' }],
    ['', { kind: 'none' }],
    ['break 0.2', { kind: 'break', size: 0.2 }],
    ['DIN 76', { kind: 'threadUndercut', form: 'A' }],
    ['DIN 76-B', { kind: 'threadUndercut', form: 'B' }],
    ['F0.6x0.3', { kind: 'shoulderUndercut', name: 'F0.6x0.3', undercut: { width: 2.5, depth: 0.3, faceDepth: 0.2 } }],
    ['DIN 509-E 0.8x0.3', { kind: 'shoulderUndercut', undercut: { form: 'E' } }],
  ])('edge %s is %o', (text, value) => {
    expect(parseEdge(text, 'mm')).toMatchObject({ ok: true, value });
  });

  it('refuses an edge that is none', () => {
    for (const text of ['R', '1x95', '-1', 'round', 'F9x9', 'break']) expect(parseEdge(text, 'mm').ok).toBe(false);
  });

  it.each([
    ['Ra 1.6', 'mm', 1.6],
    ['63', 'mm', 1.6002],
    ['63', 'in', 1.6002],
    ['0,8', 'mm', 0.8],
    ['', 'mm', undefined],
  ] as const)('finish %s in %s is Ra %d', (text, units, value) => {
    expect(parseFinish(text, units)).toEqual({ ok: true, value: value === undefined ? undefined : expect.closeTo(value, 6) });
  });
});

describe('a part on one line', () => {
  it('splits rows at the semicolon and each at its last x with spaces', () => {
    expect(line('M12 x 1.5 x 18; 19 h7 x 25;25 x 38').outside.map((r) => [r.size.text, r.length.text])).toEqual([
      ['M12 x 1.5', '18'],
      ['19 h7', '25'],
      ['25', '38'],
    ]);
    expect(line('1/2-13 x 3/4; 3/4 -.001 x 1; 1 x 1-1/2', 'in').outside).toHaveLength(3);
  });

  it.each([
    ['M12x18', 'a thread of pitch 18, or size M12, length 18'],
    ['25', '“25” has no length yet; write 25 x length'],
    ['25 x 38; ; 19 x 2', 'row 2 is empty; write size x length'],
    ['25 x -3', '“-3” is negative; a length is more than zero'],
    ['', 'row 1 is empty; write size x length'],
  ])('%s is asked about', (text, sentence) => {
    const read = readLine(text, 'mm');
    expect(read.ok ? '' : writeSentence(read.problems[0]?.says ?? [], 'mm')).toContain(sentence);
  });

  it('hears from the words which unit a line speaks', () => {
    expect(unitsOfLine('1/2-13 x 3/4; 1 x 1-1/2')).toBe('in');
    expect(unitsOfLine('M12 x 18; 19 h7 x 25')).toBe('mm');
    expect(unitsOfLine('25 x 38')).toBeUndefined();
  });
});

describe('the drawing, understood', () => {
  const shaft = line('M12 x 18; 19 h7 x 25; 25 x 38');

  it('lays rows end to end from the right-hand face', () => {
    const part = readDrawing(shaft);
    expect(part.length).toBe(81);
    expect(part.features.map((f) => [f.id, f.form, f.near, f.far])).toEqual([
      ['s1', 'thread', 0, -18],
      ['s2', 'cylinder', -18, -43],
      ['s3', 'cylinder', -43, -81],
    ]);
    expect(part.findings.map(findingKey)).toEqual(['thread-without-relief@s1.far', 'edges-sharp@edges']);
  });

  it('numbers every size to be measured, and proposes critical for fits and threads', () => {
    const sizes = readDrawing(shaft).characteristics;
    expect(sizes.map((c) => `${String(c.balloon)} ${c.id} ${c.care}`)).toEqual([
      '1 s1.thread critical',
      '2 s1.diameter ordinary',
      '3 s1.length ordinary',
      '4 s2.diameter critical',
      '5 s2.length ordinary',
      '6 s3.diameter ordinary',
      '7 s3.length ordinary',
    ]);
  });

  it('knows the pitch diameter of its thread: M12x1.75-6g is 10.679 to 10.829 (ISO 965-1, from memory)', () => {
    expect(readDrawing(shaft).characteristics[0]?.pitchDiameter).toEqual({ min: expect.closeTo(10.679, 6), max: expect.closeTo(10.829, 6) });
  });

  it('gives sizes without a tolerance the general rule: 25 mm is +/-0.2 by ISO 2768-m (from memory)', () => {
    expect(readDrawing(shaft).features[2]?.nearDiameter).toEqual({ nominal: 25, max: 25.2, min: 24.8, from: 'general' });
    expect(readDrawing({ ...shaft, untoleranced: { text: '+/-.005', units: 'in' } }).features[2]?.nearDiameter.max).toBeCloseTo(25.127, 6);
  });

  it('has the section of its cylinders, cones of chamfers and of a drill point taken off', () => {
    const plain = readDrawing(drawing([row('a', '20', '30')]));
    expect(area(regionOf(contourOf(plain)))).toBeCloseTo(300, 6);
    const edged = readDrawing(drawing([row('a', '20', '30', { near: mm('1x45'), far: mm('2') })]));
    expect(area(regionOf(contourOf(edged)))).toBeCloseTo(300 - 0.5 - 2, 3);
    const holed = readDrawing(drawing([row('a', '20', '30')], { boreRight: [row('h', '8', '20', { far: mm('90') })] }));
    expect(area(regionOf(contourOf(holed)))).toBeCloseTo(300 - 4 * 20 - 8, 3);
  });

  it('closes an open length by the overall one', () => {
    const part = readDrawing(drawing([row('a', '20', ''), row('b', '30', '10')], { overall: mm('45') }));
    expect(part.features[0]).toMatchObject({ near: 0, far: -35 });
    expect(codes(drawing([row('a', '20', ''), row('b', '30', '')], { overall: mm('45') }))).toContain('length-missing@a.length');
  });

  it.each([
    ['size-unknown@a.diameter', drawing([row('a', 'about 20', '30')])],
    ['length-missing@a.length', drawing([row('a', '20', '')])],
    ['length-unknown@a.length', drawing([row('a', '20', 'long')])],
    ['nominal-excluded@a.diameter', drawing([row('a', '25 -0.02 -0.05', '30')])],
    ['thread-longer-than-row@a.thread', drawing([row('a', 'M12', '18', { usable: mm('18') }), row('b', '20', '10')])],
    ['thread-special@a.thread', drawing([row('a', 'M12x1.1', '30')])],
    ['edge-does-not-fit@b.near', drawing([row('a', '20', '30'), row('b', '20', '10', { near: mm('1') })])],
    ['edge-unknown@a.near', drawing([row('a', '20', '30', { near: mm('about 2') })])],
    ['hole-through@h.length', drawing([row('a', '20', '30')], { boreRight: [row('h', '8', '29')] })],
    ['hole-too-wide@h.diameter', drawing([row('a', '20', '30')], { boreLeft: [row('h', '20', '10')] })],
    ['drawing-empty@drawing', blankDrawing()],
  ])('says %s', (key, d) => {
    expect(codes(d)).toContain(key);
  });

  it('mends what it can: after each fix its finding is gone', () => {
    const broken = [
      drawing([row('a', '25 -0.02 -0.05', '30')]),
      drawing([row('a', 'M12', '18', { usable: mm('18') }), row('b', '20', '10')]),
      drawing([row('a', '20', '30', { near: mm('1') }), row('b', '20', '10', { near: mm('1') })]),
      drawing([row('a', '20', '30')], { boreRight: [row('h', '8', '29')] }),
      drawing([row('a', '-25', '30')]),
      drawing([row('a', 'M12.4', '30')]),
    ];
    for (const d of broken) {
      const found = readDrawing(d).findings.filter((f) => f.mends.length > 0);
      expect(found.length).toBeGreaterThan(0);
      for (const finding of found)
        for (const mend of finding.mends)
          expect(readDrawing(applyEdits({ drawing: d }, mend.edits).drawing).findings.map(findingKey)).not.toContain(findingKey(finding));
    }
  });

  it('never throws, whatever stands in its cells', () => {
    const text = fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom('25', 'M12', '1/2-13', '20 h6', '', '-1', '1e9', 'hex 17', 'bar'));
    fc.assert(
      fc.property(fc.array(fc.tuple(text, text, text), { maxLength: 5 }), (rows) => {
        const part = readDrawing(
          drawing(rows.map(([size, length, edge], i) => row(`r${String(i)}`, size, length, { near: mm(edge), usable: mm(length) }))),
        );
        expect(part.length).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});
