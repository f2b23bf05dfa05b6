import DxfParser, { type ILineEntity, type ILwpolylineEntity } from 'dxf-parser';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { blankDrawing, type Drawing, fileSchemas, parseJob } from '../document';
import { readDrawing } from '../drawing';
import { writeDxf } from './dxf';
import { writeRows } from './rows';

const root = join(__dirname, '..', '..', '..');
const demo = (name: string): Drawing => {
  const parsed = parseJob(JSON.parse(readFileSync(join(root, 'demo', `${name}.json`), 'utf8')));
  if (!parsed.ok) throw new Error(name);
  return parsed.value.drawing;
};
const names = ['sheave-axle', 'pintle-pin', 'mast-dowel', 'windlass-spindle', 'chainplate-ring', 'rudder-shaft', 'worn-tiller-pin'] as const;

/* Read back by another general library, dxf-parser. */
describe('DXF', () => {
  it.each(names)('%s: the outline comes back to 1e-6 mm, its mirror below it', (name) => {
    const part = readDrawing(demo(name));
    const read = new DxfParser().parseSync(writeDxf(part).text);
    const lines = (read?.entities ?? []).filter((e): e is ILwpolylineEntity => e.type === 'LWPOLYLINE');
    const of = (layer: string) => lines.filter((e) => e.layer === layer);
    expect(of('OUTLINE')).toHaveLength(1);
    expect(of('OUTLINE')[0]?.shape).toBe(true);
    expect(of('OUTLINE')[0]?.vertices).toHaveLength(part.contour.length);
    part.contour.forEach((v, i) => {
      const [up, down] = [of('OUTLINE')[0]?.vertices[i], of('MIRROR')[0]?.vertices[i]];
      expect(Math.abs((up?.x ?? NaN) - v.z)).toBeLessThan(1e-6);
      expect(Math.abs((up?.y ?? NaN) - v.r)).toBeLessThan(1e-6);
      expect(Math.abs((down?.y ?? NaN) + v.r)).toBeLessThan(1e-6);
    });
  });

  it('is in millimetres, on named layers, with the centre line along x', () => {
    const part = readDrawing(demo('sheave-axle'));
    const read = new DxfParser().parseSync(writeDxf(part, { s1: { size: 'M12', length: '18' } }).text);
    expect(read?.header['$INSUNITS']).toBe(4);
    expect(Object.keys(read?.tables.layer.layers ?? {})).toEqual(expect.arrayContaining(['OUTLINE', 'MIRROR', 'CENTRE', 'HATCH', 'DIMENSIONS']));
    const centre = read?.entities.find((e): e is ILineEntity => e.layer === 'CENTRE');
    expect(centre?.vertices.map((v) => v.y)).toEqual([0, 0]);
    const texts = (read?.entities ?? []).filter((e) => e.type === 'TEXT').map((e) => (e as unknown as { text: string }).text);
    expect(texts).toEqual(expect.arrayContaining(['M12', '18']));
  });

  it('hatching lies in the lower half of the section', () => {
    const part = readDrawing(demo('mast-dowel'));
    const read = new DxfParser().parseSync(writeDxf(part).text);
    const hatch = (read?.entities ?? []).filter((e): e is ILineEntity => e.layer === 'HATCH');
    expect(hatch.length).toBeGreaterThan(10);
    const most = Math.max(...part.contour.map((v) => v.r));
    for (const { vertices } of hatch)
      for (const v of vertices) {
        expect(v.y).toBeLessThanOrEqual(1e-9);
        expect(v.y).toBeGreaterThanOrEqual(-most - 1e-9);
      }
  });

  it('says what it cannot carry, and an empty drawing gives an empty file that reads', () => {
    expect(writeDxf(readDrawing(demo('sheave-axle'))).leftOut.join()).toContain('M12');
    expect(new DxfParser().parseSync(writeDxf(readDrawing(blankDrawing())).text)?.entities).toHaveLength(1);
  });
});

describe('rows as CSV', () => {
  it.each(names)('%s comes back as it was typed', (name) => {
    const drawing = demo(name);
    const { data, errors } = Papa.parse<Record<string, string>>(writeRows(drawing), { header: true, skipEmptyLines: true });
    expect(errors).toEqual([]);
    const outside = data.filter((r) => r['list'] === 'outside');
    expect(outside.map((r) => [r['size'], r['length'], r['size unit']])).toEqual(
      drawing.outside.map((s) => [s.size.text, s.length.text, s.size.units]),
    );
    expect(data).toHaveLength(drawing.outside.length + drawing.boreRight.length + drawing.boreLeft.length);
  });

  it('commas and quotes stay in their cell, and nothing starts a formula', () => {
    const drawing: Drawing = {
      ...blankDrawing(),
      outside: [{ id: 'a', size: { text: '12,5', units: 'mm' }, length: { text: '40 +0.1', units: 'mm' }, note: '=HYPERLINK("x"), say "no"' }],
    };
    const [row] = Papa.parse<Record<string, string>>(writeRows(drawing), { header: true }).data;
    expect(row).toMatchObject({ size: '12,5', length: '40 +0.1', note: `'=HYPERLINK("x"), say "no"` });
  });
});

describe('the published schemas', () => {
  it.each(['job', 'shop'] as const)('/schema/%s.json is that of the program (npm run schema writes it)', (name) => {
    const published: unknown = JSON.parse(readFileSync(join(root, 'web', 'public', 'schema', `${name}.json`), 'utf8'));
    expect(published).toEqual(JSON.parse(JSON.stringify(fileSchemas()[name])));
  });
});
