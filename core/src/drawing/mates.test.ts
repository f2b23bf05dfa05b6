import { blankDrawing, type Mate, type Section } from '../document';
import { writeSentence } from '../quantity';
import { materialOf, pressFit } from '../standards';
import { parseWant } from './mates';
import { readDrawing } from './readDrawing';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shaft: Section = { id: 's', size: mm('20'), length: mm('40') };
const mate = (want: string, readings?: readonly string[], more: Partial<Mate> = {}): Mate => ({
  id: 'm',
  of: 's',
  piece: 'wheel',
  want: mm(want),
  ...(readings && { measured: { readings: readings.map(mm), gauge: 'g' } }),
  ...more,
});
const part = (mates: readonly Mate[], hole = false) =>
  readDrawing({
    ...blankDrawing(),
    title: { edges: 'broken' },
    outside: hole ? [{ id: 'o', size: mm('40'), length: mm('40') }] : [shaft],
    boreRight: hole ? [{ ...shaft, length: mm('through') }] : [],
    mates: [...mates],
  });
const limits = (mates: readonly Mate[], hole = false) => part(mates, hole).features.find((f) => f.id === 's')?.nearDiameter;

describe('what fit is wanted', () => {
  it.each([
    ['clearance 0.03 +/-0.01', { kind: 'clearance', min: 0.02, max: 0.04 }],
    ['interference 0.02 ± 0.005', { kind: 'clearance', min: -0.025, max: -0.015 }],
    ['clearance 0.05', { kind: 'clearance', min: 0.0375, max: 0.0625 }],
    ['0.05 clearance', { kind: 'clearance', min: 0.0375, max: 0.0625 }],
    ['clearance 0.02 to 0.05', { kind: 'clearance', min: 0.02, max: 0.05 }],
    ['clearance 0.004', { kind: 'clearance', min: 0, max: 0.009 }],
    ['interference 0.02', { kind: 'clearance', min: -0.025, max: -0.015 }],
    ['play 0,1', { kind: 'clearance', min: 0.075, max: 0.125 }],
    ['H7/g6', { kind: 'class', text: 'H7/g6' }],
    ['RC4', { kind: 'class' }],
    ['light press', { kind: 'class', text: 'light-press' }],
    ['slides', { kind: 'class', text: 'sliding' }],
    ['trial: slides with oil', { kind: 'trial', feel: 'slides with oil' }],
    ['by trial', { kind: 'trial', feel: '' }],
    ['shrink 0.04', { kind: 'clearance', min: -0.05, max: -0.03 }],
    ['shrink 0.03 to 0.05', { kind: 'clearance', min: -0.05, max: -0.03 }],
    ['0.05 shrink', { kind: 'clearance', min: -0.0625, max: -0.0375 }],
    ['adhesive 0.05', { kind: 'clearance', min: 0.0375, max: 0.0625 }],
    ['press 0.02 ± 0.005', { kind: 'clearance', min: -0.025, max: -0.015 }],
    ['k6', { kind: 'class', text: 'k6' }],
    ['bearing k6', { kind: 'class', text: 'k6', ring: true }],
    ['ball bearing, ring turns, heavy', { kind: 'bearing', turns: true, load: 'heavy' }],
    ['bearing, ring stands', { kind: 'bearing', turns: false, load: 'normal' }],
    ['bearing', { kind: 'unknown' }],
    ['shrink', { kind: 'class', text: 'shrink' }],
    ['', { kind: 'unknown' }],
    ['nice and snug', { kind: 'unknown' }],
  ])('“%s”', (text, wanted) => {
    expect(parseWant(text, 'mm')).toMatchObject(wanted);
  });
});

describe('the seat of a rolling bearing', () => {
  // 20 k6: +0.015 +0.002 (ISO 286-2); a bore of 20 in the normal class: 0 to -0.010 (ISO 492, from memory)
  it('has the limits of the standard, not of the one ring that happened to be measured; that tells what will come', () => {
    expect(limits([mate('bearing k6')])).toMatchObject({ max: 20.015, min: 20.002 });
    expect(limits([mate('bearing k6', ['19.994'])])).toMatchObject({ max: 20.015, min: 20.002 });
    const says = writeSentence(part([mate('bearing k6', ['19.994'])]).mates['m']?.says ?? [], 'mm');
    expect(says).toBe(
      '20 k6 against a ring of Ø19.990 mm to Ø20.000 mm: 0.002 mm to 0.025 mm tight; with the ring as measured 0.008 mm to 0.021 mm tight',
    );
  });

  it('by what its ring does: a turning one tight, a standing one loose; in a housing the other way round', () => {
    expect(limits([mate('bearing, ring turns')])).toMatchObject({ max: 20.011, min: 20.002 });
    expect(limits([mate('bearing, ring stands')])?.max).toBeLessThan(20);
    expect(writeSentence(part([mate('bearing, ring stands')], true).mates['m']?.says ?? [], 'mm')).toContain('loose');
    expect(writeSentence(part([mate('bearing, ring turns')], true).mates['m']?.says ?? [], 'mm')).toContain('tight');
  });
});

describe('limits by a mate', () => {
  it('a shaft is under the hole as measured, a hole over the shaft', () => {
    expect(limits([mate('clearance 0.02 to 0.05', ['20.1'])])).toEqual({ nominal: 20.065, max: 20.08, min: 20.05, from: 'mate' });
    expect(limits([mate('clearance 0.02 to 0.05', ['20.1'])], true)).toMatchObject({ max: 20.15, min: 20.12 });
  });

  it('several readings count by their mean, a warm piece as it is at 20 degrees', () => {
    expect(limits([mate('clearance 0 to 0.02', ['20.00', '20.02'])])).toMatchObject({ max: 20.01, min: 19.99 });
    // 20 mm of mild steel, 11.7 millionths a degree, 30 degrees over: 0.007 mm
    expect(limits([mate('clearance 0 to 0.02', ['20'], { measured: { readings: [mm('20')], gauge: 'g', celsius: 50 } })])?.max).toBeCloseTo(
      20 - 0.00702,
      3,
    );
  });

  it('a class without a reading is that class: 20 g6 is 19.980 to 19.993 (ISO 286-2, from memory)', () => {
    expect(limits([mate('H7/g6')])).toMatchObject({ max: 19.993, min: 19.98 });
    expect(limits([mate('H7/g6')], true)).toMatchObject({ max: 20.021, min: 20 });
    expect(limits([mate('sliding')])).toMatchObject({ max: 19.993, min: 19.98 });
  });

  it('a class from the piece as measured keeps the middle of its clearance and its own tolerance', () => {
    // H7/g6 at 20: clearance 0.007 to 0.041, middle 0.024; IT6 13 micrometres
    const found = limits([mate('H7/g6', ['20.030'])]);
    expect(found?.nominal).toBeCloseTo(20.006, 4);
    expect((found?.max ?? 0) - (found?.min ?? 0)).toBeCloseTo(0.013, 4);
  });

  it('an American fit is of a size in inches: 1.000 RC4, shaft 0.9984 to 0.9992 (ANSI B4.1, from memory, medium confidence)', () => {
    const inch = readDrawing({
      ...blankDrawing(),
      title: { edges: 'broken' },
      outside: [{ ...shaft, size: { text: '1', units: 'in' } }],
      mates: [mate('RC4')],
    });
    const found = inch.features[0]?.nearDiameter;
    expect([(found?.min ?? 0) / 25.4, (found?.max ?? 0) / 25.4]).toEqual([expect.closeTo(0.9984, 5), expect.closeTo(0.9992, 5)]);
  });

  it('the seat of a bearing is its class: 20 k5 is 20.002 to 20.011, a housing of 40 H7 40.000 to 40.025 (ISO 286-2, from memory)', () => {
    expect(limits([mate('bearing shaft rotating')])).toMatchObject({ max: 20.011, min: 20.002 });
    const housing = readDrawing({
      ...blankDrawing(),
      outside: [{ id: 'o', size: mm('60'), length: mm('40') }],
      boreRight: [{ id: 's', size: mm('40'), length: mm('through') }],
      mates: [mate('bearing housing stationary')],
    });
    expect(housing.features.find((f) => f.id === 's')?.nearDiameter).toMatchObject({ max: 40.025, min: 40 });
  });

  it('what it comes to is told with the size of its own cell: 20 H7/g6, not of what the mate made of it', () => {
    expect(writeSentence(part([mate('H7/g6', ['20.030'])]).mates['m']?.says ?? [], 'mm')).toBe('20 H7/g6, from the piece as measured');
  });

  it('once fixed it does not drift with the reading', () => {
    const fixed = { max: 20, min: 19.98, at: '2026-11-25T08:00:00.000Z', why: 'as agreed' };
    expect(limits([mate('clearance 0.05', ['25'], { fixed })])).toMatchObject({ max: 20, min: 19.98, from: 'mate' });
  });

  it('by trial and not yet understood leave the row its own', () => {
    for (const want of ['trial: slides', 'whatever', 'clearance 0.05']) expect(limits([mate(want)])).toMatchObject({ nominal: 20, from: 'general' });
    expect(part([mate('trial: slides')]).mates).toEqual({});
  });
});

describe('a press fit that would yield', () => {
  it('the largest shear of Lame does not depend on the wall: E times interference over diameter, for a solid shaft of the same material', () => {
    const { modulus, poisson } = materialOf('mild-steel');
    const elastic = { modulus: modulus * 1000, poisson };
    for (const outside of [30, 50, 100, 400]) {
      const pressed = pressFit({ interference: 0.03, diameter: 20, outside, length: 20, friction: 0.12, hub: elastic, shaft: elastic });
      expect(pressed.hoop + pressed.pressure).toBeCloseTo((modulus * 1000 * 0.03) / 20, 6);
    }
  });

  it('is told over the yield of its material, 370 N/mm2 of cold drawn mild steel: 0.036 mm on 20', () => {
    const codes = (interference: string) => part([mate(`interference ${interference}`, ['20'])]).findings.map((f) => f.code);
    expect(codes('0.025 to 0.03')).not.toContain('press-exceeds-yield');
    expect(codes('0.04 to 0.05')).toContain('press-exceeds-yield');
  });
});
