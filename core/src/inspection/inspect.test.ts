/* What is measured: sizes, finish, angle to the axis, relations. Limits of angles: ISO 2768-1:1989 table 3, from memory. */
import { blankDrawing, type Drawing, type Entry, type Section } from '../document';
import { readDrawing } from '../drawing';
import { parseDegrees } from '../quantity';
import { startingShop } from '../shop';
import { inspect } from './inspect';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const drawing: Drawing = {
  ...blankDrawing(),
  title: { edges: 'broken' },
  outside: [row('a', '20 h7', '30', { finish: mm('Ra 1.6') }), row('b', '25 < 1:5', '40'), row('c', 'MT2 <', '40'), row('d', '40', '20')],
  relations: [
    { id: 'run', kind: 'runout', of: 'a', to: 'd', value: mm('0.02') },
    { id: 'far', kind: 'distance', of: 'a', to: 'left', value: mm('100 +/-0.2') },
  ],
};
const part = readDrawing(drawing);
const sizeOf = (id: string) => part.characteristics.find((c) => c.id === id);
const reading = (of: string, text: string, units: 'mm' | 'in' = 'mm'): Entry => ({
  kind: 'reading',
  id: `e-${of.replace('.', '-')}`,
  at: '2026-11-25T10:00:00Z',
  by: 'x',
  piece: 1,
  step: null,
  of,
  value: { text, units },
  gauge: 'none',
});
const verdict = (of: string, text: string, units?: 'mm' | 'in') => inspect(part, startingShop(), [reading(of, text, units)])[0];

describe('what is measured', () => {
  it("holds the angle of a taper by the general rule: 1:5 is 5.7106 degrees to the axis, 40 long +/-0°30'", () => {
    const { nominal = 0, max = 0, min = 0 } = sizeOf('b.angle')?.limits ?? {};
    expect(nominal).toBeCloseTo((Math.atan(0.1) * 180) / Math.PI, 9);
    expect(max - nominal).toBeCloseTo(0.5, 9);
    expect(nominal - min).toBeCloseTo(0.5, 9);
  });

  it('tries a named taper in its gauge', () => {
    expect(sizeOf('c.angle')).toMatchObject({ text: expect.stringContaining('2') as string, care: 'critical' });
    expect(sizeOf('c.angle')?.limits).toBeUndefined();
  });

  it('says nothing of angles where the rule for sizes is the shop’s own', () => {
    const own = readDrawing({ ...drawing, untoleranced: mm('+/-0.1') });
    expect(own.characteristics.find((c) => c.id === 'b.angle')).toBeUndefined();
  });

  it('measures relations: an indicator from nothing up to its value, a distance within its limits', () => {
    expect(sizeOf('run')).toMatchObject({ is: 'runout', limits: { min: 0, max: 0.02 }, relation: { kind: 'runout', to: 'd' } });
    expect(sizeOf('far')).toMatchObject({ is: 'length', limits: { min: 99.8, max: 100.2 }, relation: { kind: 'distance', to: 'left' } });
  });

  it.each([
    ['run', '0 +0.01 -0.005 0.004', undefined, 'in'], // 0.015 high to low
    ['run', '0;0,012;-0,012', undefined, 'over'], // 0.024
    ['run', '0', undefined, 'in'],
    ['a.finish', '1.6', undefined, 'in'],
    ['a.finish', 'Ra 3.2', undefined, 'over'],
    ['a.finish', '63', 'in', 'in'], // 63 microinches are 1.6002: by the trade the same grade
    ['b.angle', "5°43'", undefined, 'in'],
    ['b.angle', '6.3', undefined, 'over'],
    ['b.angle', '5 5', undefined, 'under'],
    ['far', '100.3', undefined, 'over'],
  ] as const)('%s reads %s %s: %s', (of, text, units, says) => {
    expect(verdict(of, text, units)?.says).toBe(says);
  });

  it('takes an indicator that does not move for a reading', () => {
    expect(verdict('run', '0')?.value.value).toBe(0);
    expect(verdict('run', '0.05')?.says).toBe('over');
  });

  it.each(['smooth', '', 'Ra', '-1'])('takes “%s” for no reading of a finish', (text) => {
    expect(verdict('a.finish', text)).toBeUndefined();
  });
});

describe('an angle', () => {
  it.each([
    ['5.71', 5.71],
    ['5,71°', 5.71],
    ["5°43'", 5 + 43 / 60],
    ['5 43', 5 + 43 / 60],
    ['45 deg', 45],
    ['0', 0],
  ])('%s', (text, degrees) => {
    const read = parseDegrees(text);
    expect(read.ok && read.value).toBeCloseTo(degrees, 12);
  });

  it.each(['', 'flat', '5 70', '200', '-3', "5'"])('is not “%s”', (text) => {
    expect(parseDegrees(text).ok).toBe(false);
  });
});

describe('proved by the gauge (ISO 14253-1, decision rules, from memory)', () => {
  const micrometer = { ...startingShop().gauges[2], id: 'g', bias: mm('0.002'), repeat: mm('0.0015') };
  const shop = { ...startingShop(), gauges: [micrometer as ReturnType<typeof startingShop>['gauges'][number]], ways: { verdict: 'proved' } };
  // 20 h7 is 19.979 to 20; the doubt of the gauge is 2 x root(0.002^2 + 0.0015^2) = 0.005
  it.each([
    ['19.990', 'in', 'in'],
    ['19.994', 'in', 'in'],
    ['19.996', 'cannotTell', 'in'],
    ['20.004', 'cannotTell', 'over'],
    ['20.006', 'over', 'over'],
    ['19.983', 'cannotTell', 'in'],
    ['19.973', 'under', 'under'],
  ])('%s: %s, by plain limits %s', (text, proved, plain) => {
    const entry = { ...reading('a.diameter', text), gauge: 'g' } as Entry;
    expect(inspect(part, shop, [entry])[0]?.says).toBe(proved);
    expect(inspect(part, { ...shop, ways: {} }, [entry])[0]?.says).toBe(plain);
  });
});

describe('a bore by plug pins (gauge-class, common practice: n goes, the next does not; minus pins lie up to 0.005 under)', () => {
  const bored = readDrawing({ ...drawing, outside: [row('o', '40', '30')], relations: [], boreRight: [row('h', '12 +0.05 -0', 'through')] });
  const sizes = ['11.98', '12.00', '12.02', '12.04', '12.06'].map(mm);
  const [like] = startingShop().gauges;
  if (!like) throw new Error('no gauge');
  const pins = { ...like, id: 'pins', kind: 'plugPins' as const, class: 'minus' as const, sizes };
  it.each([
    ['12.02', 'in'], // between 12.015 and 12.04
    ['12.04', 'cannotTell'], // between 12.035 and 12.06
    ['11.98', 'cannotTell'], // between 11.975 and 12.00
    ['12.06', 'over'], // from 12.055
  ])('%s goes: %s', (text, says) => {
    const entry = { ...reading('h.diameter', text), gauge: 'pins' } as Entry;
    expect(inspect(bored, { ...startingShop(), gauges: [pins] }, [entry])[0]?.says).toBe(says);
  });
});

it('a size read at both ends of a cut is no better than the worse of them, until its own step cuts again (common practice)', () => {
  let n = 0;
  const line = (step: string) => ({ id: `b${String(++n)}`, at: '2026-11-25T10:00:00Z', by: 'x', piece: 1, step });
  const at = (text: string, along: string): Entry => ({
    ...line('finish-turn@a'),
    kind: 'reading',
    of: 'a.diameter',
    value: mm(text),
    along: mm(along),
    gauge: 'mic-0-25',
  });
  const cut = (step: string): Entry => ({ ...line(step), kind: 'cut', axis: 'cross', dial: mm('0.02') });
  const says = (...log: Entry[]) => inspect(part, startingShop(), log).find((v) => v.of === 'a.diameter')?.says;
  // ISO 286-2: 20 h7 is 0 / -0.021
  const [free, held] = [at('19.990', '3'), at('20.030', '27')];
  expect(says(free)).toBe('in');
  expect(says(free, held)).toBe('over');
  expect(says(held, free)).toBe('over');
  // a cut of another row does not forget the worse end; one of its own does
  expect(says(held, cut('finish-turn@b'), free)).toBe('over');
  expect(says(held, cut('finish-turn@a'), free)).toBe('in');
});
