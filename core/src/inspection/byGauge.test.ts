import { blankDrawing, type Drawing } from '../document';
import { readDrawing } from '../drawing';
import { midShop } from '../shop';
import { checkDue, feelsOf, isGood, placesRound, readableBy, roundOf } from './byGauge';

const mm = (text: string) => ({ text, units: 'mm' as const });
const drawing: Drawing = {
  ...blankDrawing(),
  outside: [
    { id: 'a', size: mm('20 h7'), length: mm('30') },
    { id: 'b', size: mm('M16'), length: mm('20') },
    { id: 'c', size: mm('MT2 <'), length: mm('40') },
  ],
  boreRight: [{ id: 'h', size: mm('M10'), length: mm('15') }],
};
const part = readDrawing(drawing);
const shop = midShop();
const sizes = { ...shop, gauges: [...shop.gauges, ...(['balls', 'wires'] as const).map((kind) => ({ ...gauge('caliper'), id: kind, kind }))] };
function gauge(kind: string) {
  const found = shop.gauges.find((g) => g.kind === kind);
  if (!found) throw new Error(kind);
  return found;
}
const sizeOf = (id: string) => {
  const found = part.characteristics.find((c) => c.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe('what a size is read by', () => {
  it('an outside diameter by a micrometer that reaches it, a runout by an indicator, a thread outside over wires, inside over balls', () => {
    const kinds = (id: string) => [...new Set(readableBy(sizeOf(id), part, sizes).map((g) => g.kind))];
    expect(kinds('a.diameter')[0]).toBe('micrometer');
    expect(readableBy(sizeOf('a.diameter'), part, sizes).some((g) => g.kind === 'micrometer' && g.from.text === '25')).toBe(false);
    expect(kinds('b.thread')).toContain('wires');
    expect(kinds('b.thread')).not.toContain('balls');
    expect(kinds('h.thread')).toEqual(['balls']);
    expect(kinds('c.angle')).toEqual([]);
  });

  it('a taper is blued; only a bearing from end to end is good', () => {
    expect(feelsOf(sizeOf('c.angle'))).toContain('blue at the small end');
    expect(feelsOf(sizeOf('c.angle')).filter(isGood)).toEqual(['blue all along']);
    expect(feelsOf(sizeOf('b.thread')).filter(isGood)).toEqual(['gauge goes']);
  });
});

describe('a gauge that was not checked for long', () => {
  const now = Date.parse('2026-11-29T08:00:00Z');
  it.each([
    ['2025-06-01', {}, 17],
    ['2026-06-01', {}, undefined],
    ['2026-04-01', { gaugeCheck: '6' }, 7],
    ['2020-01-01', { gaugeCheck: 'never' }, undefined],
  ])('checked %s, by %j', (checked, ways, due) => {
    expect(checkDue({ ...gauge('caliper'), checked }, { ...shop, ways }, now)).toBe(due);
  });

  it('of one whose day was never said nothing is', () => {
    expect(checkDue(gauge('caliper'), shop, now)).toBeUndefined();
  });
});

describe('round a piece', () => {
  it('a true piece held out of the middle is all off the middle and nothing out of round', () => {
    // general geometry: an offset e reads e cos(angle), high less low 2 e
    const e = 0.03;
    const read = Array.from({ length: 12 }, (_, i) => e * Math.cos((2 * Math.PI * (i - 2)) / 12));
    const told = roundOf(read);
    expect(told.off).toBeCloseTo(e, 9);
    expect(told.towards).toBeCloseTo(Math.PI / 3, 9);
    expect(told.tir).toBeCloseTo(2 * e, 9);
    expect(told.left).toBeCloseTo(0, 9);
  });

  it('an oval piece in the middle is all out of round: two highs, two lows', () => {
    const told = roundOf(Array.from({ length: 8 }, (_, i) => 0.01 * Math.cos((2 * Math.PI * 2 * i) / 8)));
    expect(told.off).toBeCloseTo(0, 9);
    expect(told.left).toBeCloseTo(0.02, 9);
  });

  it('is typed with signs, in either unit, and refused in words', () => {
    expect(placesRound(mm('0 +0.01 -0.005 0.004'))).toEqual({ ok: true, value: [0, 0.01, -0.005, 0.004] });
    const inches = placesRound({ text: '0;.001;-.0005', units: 'in' });
    expect(inches.ok && inches.value[2]).toBeCloseTo(-0.0127, 9);
    expect(placesRound(mm('0 x 1')).ok).toBe(false);
  });
});
