/*
 * Holes beside the axis as a shop writes them. Minor diameters: ISO 68-1, D1 = D - 1.082532 P.
 * Volumes: closed forms.
 */
import { blankJob, type Detail, type Drawing } from '../document';
import { writeSentence } from '../quantity';
import { readDrawing } from './readDrawing';
import { readSideHole, sideHoleSaid } from './sideHoles';
import { volumeOfPart } from './solid';

describe('what is typed, and what it is', () => {
  it.each<readonly [string, 'mm' | 'in', number, string | undefined, number | undefined]>([
    ['6', 'mm', 6, undefined, undefined],
    ['6,5 x 12', 'mm', 6.5, undefined, 12],
    ['6.6×20 deep', 'mm', 6.6, undefined, 20],
    ['6 H7 reamed', 'mm', 6, undefined, undefined],
    ['1/4', 'in', 6.35, undefined, undefined],
    ['M8', 'mm', 6.647, 'M8x1.25-6H', undefined],
    ['M8x1', 'mm', 6.917, 'M8x1-6H', undefined],
    ['M8 x 14', 'mm', 6.647, 'M8x1.25-6H', 14],
    ['M8x1 x 14', 'mm', 6.917, 'M8x1-6H', 14],
    ['M5 tapped through', 'mm', 4.134, 'M5x0.8-6H', undefined],
    ['8-32 x 3/8', 'in', 3.307, '8-32 UNC-2B', 9.525],
    ['1/4-20 UNC', 'in', 4.976, '1/4-20 UNC-2B', undefined],
    ['G1/8', 'mm', 8.566, 'G 1/8', undefined],
  ])('%s in %s is Ø%f, %s, %s deep', (text, units, nominal, designation, deep) => {
    const read = readSideHole(text, units);
    if ('says' in read) throw new Error(writeSentence(read.says, 'mm'));
    expect(read.limits.nominal).toBeCloseTo(nominal, 2);
    expect(read.thread?.designation).toBe(designation);
    expect(read.deep === undefined ? undefined : Number(read.deep.toFixed(3))).toBe(deep);
  });

  it.each<readonly [string, Partial<{ form: string; diameter: number; depth: number }>]>([
    ['6.6 cbore 11 x 6.5', { form: 'counterbore', diameter: 11, depth: 6.5 }],
    ['6.6 x 20 counterbored 11x6.5', { form: 'counterbore', diameter: 11, depth: 6.5 }],
    ['5.5 spotface 12 x 0.5', { form: 'counterbore', diameter: 12, depth: 0.5 }],
    // 90 degrees: as deep as half of what it is opened by
    ['5.5 csk 10.5', { form: 'countersink', diameter: 10.5, depth: 2.5 }],
    ['5.5 countersunk 10.5 at 90°', { form: 'countersink', diameter: 10.5, depth: 2.5 }],
  ])('%s has a mouth', (text, mouth) => expect(readSideHole(text, 'mm')).toMatchObject({ head: mouth }));

  it('the countersink of a US screw of 82 degrees, by geometry', () => {
    const read = readSideHole('0.196 csk 0.385 at 82', 'in');
    const depth = ((0.385 - 0.196) * 25.4) / 2 / Math.tan((41 * Math.PI) / 180);
    expect('head' in read && read.head.depth).toBeCloseTo(depth, 4);
  });

  it.each([
    ['', /how large/],
    ['M7.3', /./],
    ['six', /./],
    ['6 cbore 5 x 3', /does not open/],
    ['6 cbore 11', /depth/],
    ['6 x 4 cbore 11 x 6', /deeper than/],
    ['6 csk 12 at 10', /30 to 150/],
    ['6 x zwölf', /./],
  ])('%j is refused in words, never as missing', (text, words) => {
    const read = readSideHole(text, 'mm');
    expect('says' in read ? writeSentence(read.says, 'mm') : '').toMatch(words);
    expect('says' in read ? writeSentence(read.says, 'mm') : '').not.toMatch(/missing/);
  });

  it.each([
    // ISO 965-1, 6H, from memory
    ['M6', /core Ø4\.917 mm to Ø5\.153 mm/],
    ['M8 x 14', /14 mm of full thread, core Ø6\.647 mm to Ø6\.912 mm/],
  ])('%s says the core that its drill has to hit', (text, words) => {
    const read = readSideHole(text, 'mm');
    expect('says' in read ? '' : writeSentence(sideHoleSaid(read), 'mm')).toMatch(words);
  });
});

describe('what they take out of the metal', () => {
  const mm = (text: string) => ({ text, units: 'mm' as const });
  const ring = (details: Detail[], bore?: string): Drawing => ({
    ...blankJob('p', 'mm').drawing,
    title: { edges: 'sharp' },
    outside: [
      { id: 'a', size: mm('80'), length: mm('10') },
      { id: 'b', size: mm('40'), length: mm('30') },
    ],
    boreRight: bore === undefined ? [] : [{ id: 'h', size: mm(bore), length: mm('through') }],
    details,
  });
  const taken = (detail: Partial<Detail> & Pick<Detail, 'kind' | 'on'>, bore?: string) => {
    const read = (of: Drawing) => {
      const part = readDrawing(of);
      expect(part.findings.filter((f) => f.severity === 'stop').map((f) => writeSentence(f.says, 'mm'))).toEqual([]);
      return volumeOfPart(part);
    };
    return read(ring([], bore)) - read(ring([{ id: 'd', at: mm('0'), size: mm(''), ...detail }], bore));
  };
  const area = (d: number) => (Math.PI * d ** 2) / 4;
  const cone = (from: number, to: number, deep: number) => (Math.PI / 12) * deep * (from ** 2 + from * to + to ** 2);

  it('six through a flange go through the flange, not along the whole part', () =>
    expect(taken({ kind: 'boltCircle', on: 'right', at: mm('60'), size: mm('6'), count: 6 })).toBeCloseTo(6 * area(6) * 10, 3));
  it('counterbored and countersunk mouths', () => {
    expect(taken({ kind: 'boltCircle', on: 'right', at: mm('60'), size: mm('6 cbore 10 x 4'), count: 4 })).toBeCloseTo(
      4 * (area(6) * 6 + area(10) * 4),
      3,
    );
    expect(taken({ kind: 'boltCircle', on: 'right', at: mm('60'), size: mm('6 csk 12'), count: 4 })).toBeCloseTo(
      4 * (area(6) * 7 + cone(12, 6, 3)),
      3,
    );
  });
  it('a small hole across a thick bar is nearly a cylinder; one from one side nearly half of it', () => {
    const through = taken({ kind: 'crossHole', on: 'b', at: mm('15'), size: mm('2') });
    expect(through / (area(2) * 40)).toBeCloseTo(1, 2);
    expect(taken({ kind: 'crossHole', on: 'b', at: mm('15'), size: mm('2 x 12') }) / (area(2) * 12)).toBeCloseTo(1, 2);
  });
  it('what the bore took is not taken twice; a tapped hole goes through one wall', () => {
    const walls = taken({ kind: 'crossHole', on: 'b', at: mm('15'), size: mm('2') }, '30');
    expect(walls / (area(2) * 10)).toBeCloseTo(1, 2);
    const one = taken({ kind: 'crossHole', on: 'b', at: mm('15'), size: mm('M2') }, '30');
    expect(one / (area(2 - 1.082532 * 0.4) * 5)).toBeCloseTo(1, 2);
  });
});
