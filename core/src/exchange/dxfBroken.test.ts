/* DXF files that are broken, cyclic or huge, and our own back again. */
import fc from 'fast-check';
import { flattened, readDrawing, volumeOf } from '../drawing';
import { partsByConstruction } from '../drawing/parts.fixture';
import { writeSentence } from '../quantity';
import { writeDxf } from './dxf';
import { file, line, poly, read, refusal, rows, stepped } from './dxfText.fixture';
import { readDxf, readingDxf } from './readDxf';

describe('broken files get a sentence', () => {
  it.each([
    ['', 'the file is empty'],
    ['not a drawing at all', 'the file breaks off'],
    ['AutoCAD Binary DXF\r\n\u001a\u0000', 'binary DXF'],
    [file(stepped).slice(0, 120), 'the file breaks off'],
    [file([]), 'no lines or arcs'],
    [file(['0', 'TEXT', '8', '0', 10, 0, 20, 0, 40, 2, '1', 'pin']), 'no lines or arcs'],
    [file(line(0, 0, 30, 0)), 'do not join to an outline'],
    ['0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\nabc\n20\nx\n11\n1\n21\n1\n0\nENDSEC\n0\nEOF', 'no lines or arcs'],
  ])('%#: %s', (text, words) => {
    expect(refusal(text)).toContain(words);
  });

  it('blocks that hold themselves do not go round for ever', () => {
    const insert = (name: string) => ['0', 'INSERT', '8', '0', '2', name, 10, 1, 20, 0];
    const cyclic = [
      '0',
      'BLOCK',
      '8',
      '0',
      '2',
      'A',
      10,
      0,
      20,
      0,
      ...insert('B'),
      '0',
      'ENDBLK',
      '0',
      'BLOCK',
      '8',
      '0',
      '2',
      'B',
      10,
      0,
      20,
      0,
      ...insert('A'),
      ...stepped,
      '0',
      'ENDBLK',
    ];
    const made = read(file(insert('A'), { blocks: cyclic }));
    expect(rows(made)).toEqual(['20 x 10', '30 x 25']);
    expect(made.leftOut.map((s) => writeSentence(s, 'mm')).join(' ')).toContain('holds itself');
  });

  it('a huge one is refused before it is taken apart, a long curve of short lines after', () => {
    expect(refusal('0'.repeat(60_000_001))).toContain('over 60 MB');
    const wavy = Array.from({ length: 3000 }, (_, i) => [i / 10, 10 + Math.sin(i)] as [number, number]);
    expect(refusal(file(poly([[0, 0], ...wavy, [299.9, 0]])))).toContain('a curve drawn as short lines?');
  });

  it('any groups at all: a sentence or rows, never an exception', () => {
    const group = fc.tuple(
      fc.constantFrom(0, 8, 10, 20, 11, 21, 40, 42, 50, 51, 70, 90),
      fc.oneof(
        fc.constantFrom('LINE', 'ARC', 'CIRCLE', 'INSERT', 'LWPOLYLINE', 'POLYLINE', 'VERTEX', 'SEQEND', '0', '1', '-5', '3.5'),
        fc.string({ maxLength: 5 }).map((t) => t.replace(/[\r\n]/g, ' ')),
      ),
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 200 }).filter((t) => !t.includes('SECTION')),
          fc.array(group, { maxLength: 40 }).map((groups) => file(groups.flat())),
        ),
        (text) => {
          const made = readDxf(text, { units: 'mm' });
          return typeof made.ok === 'boolean';
        },
      ),
      { numRuns: 400 },
    );
  });

  it('can be stopped: it says how far it is as it goes', () => {
    const many = Array.from({ length: 3000 }, (_, i) => line(0, 100 + i, 1, 100 + i, 'HATCH')).flat();
    const reading = readingDxf(file([...stepped, ...many]), { units: 'mm' });
    const steps: number[] = [];
    for (let next = reading.next(); next.done !== true; next = reading.next()) steps.push(next.value.done);
    expect(steps.length).toBeGreaterThan(5);
    expect(steps.every((s, i) => i === 0 || s >= (steps[i - 1] ?? 0))).toBe(true);
  });
});

describe('our own back again', () => {
  it('the same contour to 1e-6 mm, whatever the part', () => {
    fc.assert(
      fc.property(partsByConstruction, (made) => {
        const part = readDrawing(made);
        const back = readDrawing(read(writeDxf(part).text).drawing);
        expect(back.contour).toHaveLength(part.contour.length);
        part.contour.forEach((v, i) => {
          const w = back.contour[i];
          expect(Math.hypot(v.z - (w?.z ?? NaN), v.r - (w?.r ?? NaN))).toBeLessThan(1e-6);
        });
        expect(volumeOf(back.contour) / volumeOf(part.contour)).toBeCloseTo(1, 8);
        expect(flattened(back.contour).length).toBe(flattened(part.contour).length);
      }),
      { numRuns: 120 },
    );
  });
});
