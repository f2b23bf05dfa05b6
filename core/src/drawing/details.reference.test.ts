/* What is cut in rows and ends: numbers of standards (from memory, typed apart from the tables) and of school geometry. */
import { blankDrawing, type Detail, type Drawing, type Section } from '../document';
import { writeSentence } from '../quantity';
import { readDrawing } from './readDrawing';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (size: string, length: string, id = 's'): Section => ({ id, size: mm(size), length: mm(length) });

function cut(kind: Detail['kind'], size: string, more: Partial<Detail> & { readonly across?: string; readonly bore?: string } = {}) {
  const { across = '30', bore, ...own } = more;
  const drawing: Drawing = {
    ...blankDrawing(),
    title: { edges: 'broken' },
    outside: [row(across, '60')],
    boreRight: bore === undefined ? [] : [row(bore, 'through', 'h')],
    details: [{ id: 'd', kind, on: 's', at: mm('10'), size: mm(size), ...own }],
  };
  const part = readDrawing(drawing);
  const [detail] = part.details;
  return { detail, part, says: detail ? writeSentence(detail.says, 'mm') : '', codes: part.findings.map((f) => f.code) };
}

describe('keyways by size (DIN 6885-1, from memory)', () => {
  it.each([
    ['10', 3, 1.8, 1.4],
    ['12', 4, 2.5, 1.8],
    ['16', 5, 3, 2.3],
    ['20', 6, 3.5, 2.8],
    ['25', 8, 4, 3.3],
    ['36', 10, 5, 3.3],
    ['40', 12, 5, 3.3],
    ['50', 14, 5.5, 3.8],
    ['60', 18, 7, 4.4],
  ])('a shaft of %s: %d wide, %d deep; %d in the hub', (across, width, inShaft, inHub) => {
    expect(cut('keyway', '', { across, length: mm('20') }).detail).toMatchObject({
      width,
      depth: inShaft,
      diameter: { nominal: Number(across) - inShaft },
    });
    const hub = cut('keyway', '', { across: '90', bore: across, on: 'h', length: mm('20') });
    expect(hub.detail).toMatchObject({ width, depth: inHub, diameter: { nominal: Number(across) + inHub } });
  });

  it('a size typed wins; one without a table asks for it', () => {
    expect(cut('keyway', '5 x 3.2', { length: mm('20') }).detail).toMatchObject({ width: 5, depth: 3.2 });
    expect(cut('keyway', '', { across: '5', length: mm('20') }).codes).toEqual(['detail-unknown']);
    expect(cut('keyway', '').codes).toEqual(['detail-unknown']);
  });
});

describe('grooves', () => {
  it.each([
    ['20', 19, 1.3],
    ['25', 23.9, 1.3],
    ['30', 28.6, 1.6],
    ['40', 37.5, 1.85],
  ])('a ring on %s lies in %d, %d wide (DIN 471, from memory)', (across, bottom, width) => {
    expect(cut('ringGroove', '', { across }).detail).toMatchObject({ diameter: { nominal: bottom }, width });
  });

  it('a ring in a bore of 20 lies in 21, 1.1 wide (DIN 472, from memory)', () => {
    expect(cut('ringGroove', '', { across: '40', bore: '20', on: 'h' }).detail).toMatchObject({ diameter: { nominal: 21 }, width: 1.1 });
  });

  it('an O-ring of 2.62 still: depth 2.06 to 2.11, width 3.56 to 3.68 (usual gland table in inches, from memory)', () => {
    const { detail, says } = cut('groove', 'O-ring 2.62');
    expect(detail?.diameter?.max).toBeCloseTo(30 - 2 * 0.081 * 25.4, 4);
    expect(detail?.diameter?.min).toBeCloseTo(30 - 2 * 0.083 * 25.4, 4);
    expect(says).toContain('width 3.56 mm to 3.68 mm');
  });

  it('by bottom, by depth, in the round: the same metal said three ways', () => {
    expect(cut('groove', '26', { length: mm('4') }).detail).toMatchObject({ depth: 2, width: 4 });
    expect(cut('groove', 'depth 2', { length: mm('4') }).detail).toMatchObject({ diameter: { nominal: 26 }, width: 4 });
    expect(cut('groove', 'round 4').detail).toMatchObject({ diameter: { nominal: 26 }, depth: 2, round: true });
    // a chord of 4, 1 deep: radius (2^2 + 1^2) / 2
    expect(cut('groove', 'round 28', { length: mm('4') }).says).toContain('radius 2.5 mm');
    expect(cut('groove', 'depth 15', { length: mm('4') }).codes).toEqual(['detail-unknown']);
    expect(cut('groove', 'round 20', { length: mm('4') }).codes).toEqual(['detail-unknown']);
  });

  it('counts from its own edge, or from any face named', () => {
    expect(cut('groove', '26', { length: mm('4') }).detail).toMatchObject({ near: -10, far: -14 });
    expect(cut('groove', '26', { length: mm('4'), from: 'left' }).detail).toMatchObject({ near: -46, far: -50 });
    expect(cut('groove', '26', { length: mm('4'), from: 's.near' }).detail).toMatchObject({ near: -10, far: -14 });
    expect(cut('groove', '26', { length: mm('4'), from: 's.far' }).codes).toEqual(['detail-outside-row']);
    expect(cut('groove', '26', { length: mm('4'), from: 'gone.far' })).toMatchObject({ detail: undefined, codes: ['detail-place'] });
  });
});

describe('holes and sinks', () => {
  it.each([
    ['90', '20', 5],
    ['60', '20', 5 * Math.sqrt(3)],
    ['120', '20', 5 / Math.sqrt(3)],
  ])('a countersink of %s degrees to %s on a hole of 10 is as deep as geometry says', (degrees, across, depth) => {
    expect(cut('countersink', across, { bore: '10', on: 'h', angle: mm(degrees) }).detail?.depth).toBeCloseTo(depth, 6);
  });

  it('a cross hole of 6 in 20 breaks out 0.461 below the crown: 10 - sqrt(100 - 9)', () => {
    expect(cut('crossHole', '6', { across: '20' }).says).toContain('0.46 mm below the crown');
    expect(cut('crossHole', '20', { across: '20' }).codes).toEqual(['detail-unknown']);
  });

  it('six holes on 40 lie 20 apart, four 28.284', () => {
    expect(cut('boltCircle', '4', { on: 'right', at: mm('20'), count: 6 }).says).toContain('10.000 mm from one to the next');
    expect(cut('boltCircle', '4', { on: 'right', at: mm('20'), count: 4 }).says).toContain('14.142 mm from one to the next');
    expect(cut('boltCircle', '11', { on: 'right', at: mm('20'), count: 6 }).codes).toEqual(['detail-unknown']);
  });
});

describe('flats and knurls', () => {
  it('a hexagon of 18.94 in 21.87 is 1.465 deep (common practice)', () => {
    expect(cut('hexagon', '18.94', { across: '21.87', length: mm('20') }).detail?.depth).toBeCloseTo(1.465, 6);
  });

  it('one flat leaves what is typed; two are that far across', () => {
    expect(cut('flat', '27').detail).toMatchObject({ depth: 3, count: 1 });
    expect(cut('flat', '24', { count: 2 }).detail).toMatchObject({ depth: 3, width: 18 });
    expect(cut('flat', '14').codes).toEqual(['detail-unknown']);
  });

  it('a knurl’s blank holds a whole number of teeth and is smaller than what it grows to (DIN 82, from memory)', () => {
    for (const [text, share] of [
      ['straight 1', 0.5],
      ['diamond 1', 0.67],
      ['diamond 0.8', 0.67],
    ] as const) {
      const { detail } = cut('knurl', text, { at: mm('') });
      const [blank, pitch] = [detail?.diameter?.nominal ?? 0, detail?.pitch ?? 0];
      expect((Math.PI * blank) / pitch).toBeCloseTo(detail?.count ?? 0, 2);
      expect(Math.abs(30 - share * pitch - blank)).toBeLessThanOrEqual(pitch / Math.PI / 2 + 1e-3);
    }
    expect(cut('knurl', 'diamond 21 tpi', { at: mm('') }).detail?.pitch).toBeCloseTo(25.4 / 21, 6);
    expect(cut('knurl', 'coarse').codes).toEqual(['detail-unknown']);
  });
});
