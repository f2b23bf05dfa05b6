import fc from 'fast-check';
import { type Figure, type Sentence, writeSentence, writeWithUnit } from '../quantity';
import { calculatorNamed, calculators } from './calculators';
import { formulaOf } from './formulas';
import { placeFor } from './places';
import type { Shape } from './sketch';
import { type Answer, groups, labelOf } from './types';

const answerOf = (id: string, texts: Readonly<Record<string, string>> = {}, units: 'mm' | 'in' = 'mm'): Answer => {
  const calculator = calculatorNamed(id);
  if (!calculator) throw new Error(`no calculator ${id}`);
  return calculator.answer(texts, units);
};

const figuresOf = (answer: Answer): readonly Figure[] =>
  answer.ok
    ? [
        ...answer.rows.flatMap((r) => ('value' in r ? [r.value] : [])),
        ...(answer.table?.rows.flatMap((r) => r.flatMap((c) => ('is' in c ? [c] : []))) ?? []),
      ]
    : [];

/** Every line of an answer as it is read. */
const linesOf = (answer: Answer, units: 'mm' | 'in' = 'mm'): readonly string[] =>
  answer.ok
    ? [
        ...answer.rows.map((r) => `${labelOf(r, units)}: ${'says' in r ? writeSentence(r.says, units) : writeWithUnit(r.value, units)}`),
        ...[...(answer.remarks ?? []), ...(answer.cautions ?? [])].map((s: Sentence) => writeSentence(s, units)),
      ]
    : [`not: ${writeSentence(answer.says, units)}`];

const numbersOf = (shape: Shape): readonly number[] =>
  shape.is === 'area' || shape.is === 'line'
    ? shape.points.flat()
    : shape.is === 'circle'
      ? [...shape.at, shape.r]
      : shape.is === 'dim'
        ? [...shape.from, ...shape.to, shape.off]
        : [...shape.at];

describe.each(calculators.map((c) => [c.id, c] as const))('%s', (_, calculator) => {
  it('answers from what it starts with; every number opens a formula that gives it again, with a source', () => {
    const answer = calculator.answer({}, 'mm');
    expect(linesOf(answer)).not.toContainEqual(expect.stringMatching(/^not: /));
    for (const figure of figuresOf(answer)) {
      const formula = formulaOf(figure.formula);
      expect(formula?.compute(figure.of)).toBe(figure.value);
      expect(formula?.source).not.toBe('');
      expect(Object.keys(figure.of).every((name) => formula && name in formula.inputs)).toBe(true);
    }
    expect(answer.ok && answer.source).not.toBe('');
    expect(answer.ok && answer.rows.length).toBeGreaterThan(0);
  });

  it('says the same on an inch page: what it starts with is in millimetres', () => {
    expect(calculator.answer({}, 'in')).toEqual(calculator.answer({}, 'mm'));
  });

  it('has a figure whose points are all somewhere', () => {
    const answer = calculator.answer({}, 'mm');
    const shapes = (answer.ok ? answer.sketch?.shapes : undefined) ?? [];
    expect(shapes.length).toBeGreaterThan(0);
    expect(shapes.flatMap(numbersOf).every(Number.isFinite)).toBe(true);
  });

  it('never throws at what is typed, and names the cell that is at fault', () => {
    const names = Object.keys(calculator.fields);
    const text = fc.oneof(
      fc.string({ maxLength: 14 }),
      fc.constantFrom('', '0', '-5', '1e9', '999999', '0,5', '1/0', '25 h6', 'M12x1.6', '#7', 'NaN', '13/16', '0.001', ' '),
      fc.double({ min: 0, max: 500, noNaN: true }).map((v) => v.toFixed(3)),
    );
    const texts = fc.dictionary(fc.constantFrom(...names), text, { maxKeys: names.length });
    fc.assert(
      fc.property(texts, fc.constantFrom('mm' as const, 'in' as const), (typed, units) => {
        const answer = calculator.answer(typed, units);
        if (!answer.ok) return answer.says.length > 0 && (answer.at === undefined || names.includes(answer.at));
        return figuresOf(answer).every((f) => Number.isFinite(f.value));
      }),
      { numRuns: 60 },
    );
  });
});

it('every group has a calculator, and every id is one of its own', () => {
  for (const group of groups) expect(calculators.some((c) => c.group === group)).toBe(true);
  expect(new Set(calculators.map((c) => c.id)).size).toBe(calculators.length);
});

describe('worked at the bench (common practice) and from the tables', () => {
  it.each<[id: string, texts: Record<string, string>, line: string]>([
    ['sizes', { d: '25 h6' }, 'smallest: Ø24.987 mm'],
    ['sizes', { d: '1.000 +.000 -.002 in' }, 'smallest: 25.349 mm'],
    ['fits', { d: '25 H7/g6' }, 'most clearance: 0.041 mm'],
    ['fits', { d: '25 H7/s6' }, 'most interference: 0.048 mm'],
    ['fits', { d: '25 H7/g6', m: '25.03' }, 'shaft to this hole, largest: Ø25.023 mm'],
    ['fits', { d: '1.000 RC4' }, 'kind: clearance fit'],
    ['choose-fit', { for: 'press', d: '40' }, 'take: 40 H7/p6'],
    ['choose-fit', { for: 'bearing-shaft-rotating', d: '25' }, 'largest: Ø25.011 mm'],
    ['general-tolerances', { d: '40', class: 'm' }, 'plus and minus: 0.30 mm'],
    ['lengths', { d: '#7' }, 'length: 5.105 mm'],
    [
      'threads',
      { d: 'M12x1.6' },
      'M12x1.6: no such standard pitch for 12 mm; 1.75, 1.5, 1.25, 1; computed as a special; tolerances and deviations by the formulas of ISO 965-1, within 12 % of a printed table',
    ],
    ['tap-drills', { d: '10-32' }, 'take: #21'],
    ['tap-drills', { d: 'M10', material: 'stainless-316' }, 'take: letter R'],
    ['die-blank', { d: 'M10' }, 'turn the blank to: Ø9.85 mm'],
    ['engagement', { d: 'M12x1', l: '12.7', counterbore: '5' }, 'full threads: 7.7'],
    // M10 x 1.5: infeed by nose 0.613 P
    ['thread-depth', { d: 'M10', nose: 'full', angle: '29.5' }, 'on the compound: 1.056 mm'],
    ['thread-ends', { d: 'M12' }, 'width over its flanks, most: 6.10 mm'],
    ['drill-points', { d: '10', angle: '118', depth: '20' }, 'of it the cone: 3.00 mm'],
    ['drill-points', { d: '10', angle: '90', depth: '20' }, 'to the tip: 25.00 mm'],
    ['screw-holes', { d: '5/16-18', hole: '19/64' }, 'it does not pass: the screw is 7.91 mm, the hole 7.54 mm'],
    ['screw-holes', { d: 'M8' }, 'counterbore: Ø15.00 mm'],
    ['centres', { d: 'A 2.5', bar: '25' }, 'take: A 4'],
    ['retaining-rings', { where: 'shaft', d: '25' }, 'groove: Ø23.90 mm'],
    ['tapers', { large: '20', small: '16', l: '40' }, 'one in: 10.000'],
    ['tapers', { large: '20', small: '', l: '40', ratio: '20' }, 'small end: Ø18.000 mm'],
    ['tapers', { large: '20', small: '', l: '40', perFoot: '0.6', between: '300' }, 'tailstock set over: 7.500 mm'],
    ['named-tapers', { d: 'Morse 2' }, 'compound set to: 1.431°'],
    ['sine-bar', { bar: '100', angle: '30', height: '' }, 'height under one roll: 50.000 mm'],
    ['change-gears', { p: '1.5', screw: '8 tpi' }, 'half-nuts: stay closed: reverse the lathe to come back'],
    ['change-gears', { p: '16 tpi', screw: '8 tpi' }, 'half-nuts: may be closed anywhere: the leadscrew’s pitch is a whole multiple of this one'],
    ['change-gears', { p: '1.75', screw: '6 mm', wheels: '40 60', levers: '1.5 mm; 1.75 mm' }, 'take: a lever gives it: no wheels to change'],
    ['change-gears', { p: '1.5', screw: '6 mm', wheels: '40 60 80 120', box: '0.5 1' }, 'take: 40 / 80, box 0.5'],
    ['thread-dial', { tpi: '11.5', screw: '8', wheel: '16', marks: '4' }, 'close at: only the same mark'],
    // 10 mm high-speed-steel reamer in mild steel: about 360 rev/min is near 40 % of the turning speed
    ['speeds', { work: 'ream', d: '10', speeds: '360 700' }, 'set: 360 rpm'],
    ['shrink', { i: '0.1', gap: '0.05', d: '50', material: 'mild-steel' }, 'warm to: 276 °C'],
    ['shrink', { i: '0.1', gap: '0.05', d: '50', material: 'aluminium' }, 'warm to: 147 °C'],
    ['growth', { d: '50', celsius: '60' }, 'reads over by: 0.023 mm'],
    ['growth', { d: '50', celsius: '45' }, 'reads over by: 0.015 mm'],
    ['cooling', {}, 'wait: 123 min'],
    ['cooling', { in: 'flood' }, 'wait: 2.4 min'],
    ['plate-wobble', { f1: '0.1', f2: '0', f3: '-0.1', f4: '0', r: '50' }, 'face swings, TIR: 0.200 mm'],
    ['plate-wobble', { f1: '0.1', f2: '0', f3: '-0.1', f4: '0', r: '50' }, 'leans by: 0.115°'],
    ['four-jaw', { r1: '0.2', r2: '0', r3: '-0.2', r4: '0' }, 'off centre by: 0.200 mm'],
    ['four-jaw', { r1: '0.2', r2: '0', r3: '-0.2', r4: '0' }, 'jaws 1 and 3: 0.200 mm'],
    ['four-jaw', { r1: '0', r2: '-.1', r3: '0', r4: '.3' }, 'jaws 2 and 4: 0.200 mm'],
    ['finish', { f: '0.15', r: '0.4' }, 'Rt and Rz, ideal: 7.03 µm'],
    ['finish', { f: '0.2', r: '0.4' }, 'stands proud on diameter: 0.025 mm'],
    ['bolt-circle', { n: '6', D: '100', start: '0' }, 'hole to the next: 50.000 mm'],
    ['bolt-circle', { n: '6', over: '56', between: '44', apart: '3' }, 'circle found: Ø50.000 mm'],
    ['flats', { d: '21.87', sides: '6' }, 'depth of each flat: 1.465 mm'],
    ['indexing', { n: '7' }, 'that is: 5 turns and 15 holes of 21'],
    ['plug-pins', { go: '.25 in', stop: '.251 in' }, 'hole, least: Ø6.345 mm'],
    ['runout', { tir: '0.1' }, 'off centre by: 0.050 mm'],
    ['deflection', { d: '20', L: '200', F: '200', at: '100', held: 'centres' }, 'bends: 0.021 mm'],
    ['tool-life', { v: '100' }, 'life at 100 m/min: 41.0 min'],
    // a sign of a diameter only where one is meant
    ['general-tolerances', { d: '40', class: 'm' }, 'largest: 40.300 mm'],
    ['sizes', { d: '42 +/-0.1' }, 'largest: 42.100 mm'],
    ['wires', { d: 'M12x1.5-6g' }, 'over wires, largest: 12.294 mm'],
  ])('%s %o: %s', (id, texts, line) => {
    expect(linesOf(answerOf(id, texts))).toContain(line);
  });

  it.each([
    [{ r1: '0.2', r2: '0', r3: '-0.2', r4: '0' }, 'jaws 1 and 3', 'away from jaw 1: loosen 3, tighten 1'],
    [{ r1: '0', r2: '-.1', r3: '0', r4: '.3' }, 'jaws 2 and 4', 'away from jaw 4: loosen 2, tighten 4'],
    [{ r1: '0', r2: '-.1', r3: '0', r4: '.3' }, 'jaws 1 and 3', 'stand right'],
  ])('in a four-jaw %o: %s %s', (texts, label, words) => {
    const answer = answerOf('four-jaw', texts);
    const found = answer.ok ? answer.rows.find((r) => r.label === label) : undefined;
    expect(found && 'after' in found ? writeSentence(found.after, 'mm') : '').toBe(words);
  });

  it('a part in a three-jaw is packed so that it runs out by its offset: jaws touch it in points (geometry)', () => {
    // centre (e, 0); packed jaw at 180 degrees: reach - (r - e); jaws at 60 degrees touch the circle at the reach of all three
    const [e, r] = [3, 12.5];
    const reach = e * 0.5 + Math.sqrt(r ** 2 - (e * Math.sin(Math.PI / 3)) ** 2);
    const line = linesOf(answerOf('runout', { e: '3', d: '25' })).find((l) => l.startsWith('packing'));
    expect(line).toBe(`packing under one jaw: ${(reach - (r - e)).toFixed(2)} mm`);
  });

  it('a measured hole or measurement is judged', () => {
    expect(linesOf(answerOf('wires', { d: 'M12x1.5-6g', m: '12.2' })).join()).toContain('in limits by its pitch diameter');
    expect(linesOf(answerOf('wires', { d: 'M12x1.5-6g', m: '12.4' })).join()).toContain('out, large by 0.106 mm');
    expect(linesOf(answerOf('press-fits', { f: '25 H7/s6' })).join()).toContain('the hub yields at its bore');
    expect(linesOf(answerOf('press-fits', { f: '0.02' })).join()).not.toContain('yields');
    expect(linesOf(answerOf('shrink', { part: 'bearing' })).join()).toContain('over 110 °C');
  });
});

describe('what is typed wrong', () => {
  it.each<[id: string, texts: Record<string, string>, at: string, says: string]>([
    ['sizes', { d: '25 q6' }, 'd', 'q6 at 25 mm is not in this table'],
    ['fits', { d: 'loose' }, 'd', '“loose” is no fit; write 25 H7/g6 or 1.000 RC4'],
    ['threads', { d: 'M12x9' }, 'd', 'pitch 9 is too coarse for M12'],
    ['drill-points', { d: '-3' }, 'd', '“-3” is negative; a length is more than zero'],
    ['drill-points', { d: '1e9' }, 'd', '“1e9” is not a length; write 40, 1-1/2 or 12.5 mm'],
    ['bolt-circle', { n: '6.5' }, 'n', 'Holes: a whole number is wanted, not 6.5'],
    ['bolt-circle', { over: '50' }, 'between', 'over the pins and between them: both are wanted'],
    ['tapers', { small: '25' }, 'small', 'the large end must be larger than the small one, over a length'],
    ['tapers', { ratio: '20' }, 'l', 'both ends, the length and a slope are one too many: clear one of them'],
    ['change-gears', { p: 'fine' }, 'p', '“fine” is no pitch; write 1.5, 8 tpi, 1/8 or M12'],
    ['change-gears', { wheels: '20 x 40' }, 'wheels', '“x” is not a number'],
    ['press-fits', { f: '25 H7/g6' }, 'f', '25 H7/g6 is a clearance fit: nothing is pressed'],
    ['finish', { f: '0.5', r: '0.4' }, 'f', 'a feed over the nose radius cuts a thread, not a finish'],
    ['centres', { d: 'R 2.5' }, 'd', 'form R is not in this table'],
    ['speeds', { material: 'unobtainium' }, 'material', 'Material: “unobtainium” is none of'],
  ])('%s %o: %s', (id, texts, at, says) => {
    const answer = answerOf(id, texts);
    expect(answer).toMatchObject({ ok: false, at });
    expect(answer.ok ? '' : writeSentence(answer.says, 'mm')).toContain(says);
  });
});

describe('units', () => {
  it.each<[id: string, texts: Record<string, string>, line: string]>([
    ['drill-points', { d: '.5', angle: '90', depth: '1' }, 'to the tip: 1.250 in'],
    ['sizes', { d: '.750 +0 -.001' }, 'smallest: .7490 in'],
    ['sizes', { d: '25 h6 mm' }, 'smallest: Ø.9837 in'],
    ['fits', { d: '.75 H7/g6' }, 'hole, smallest: Ø.7500 in'],
    ['flats', { d: '7/8', sides: '6' }, 'across the flats: .758 in'],
    ['drill-points', { d: '10 mm', angle: '118', depth: '20 mm' }, 'of it the cone: .118 in'],
  ])('%s %o on an inch page: %s', (id, texts, line) => {
    expect(linesOf(answerOf(id, texts, 'in'), 'in')).toContain(line);
  });

  it('a comma is a decimal point', () => expect(answerOf('drill-points', { d: '10,5' })).toEqual(answerOf('drill-points', { d: '10.5' })));
});

describe('where a typed text belongs', () => {
  it.each([
    ['M12x1.5', 'threads', 'M12x1.5'],
    ['25 H7/g6', 'fits', '25 H7/g6'],
    ['25 h6', 'sizes', '25 h6'],
    ['10-32 tap', 'tap-drills', '10-32'],
    ['#7', 'drills', '#7'],
    ['13/16', 'lengths', '13/16'],
    ['Morse 2', 'named-tapers', 'Morse 2'],
    ['1.000 RC4', 'fits', '1.000 RC4'],
  ])('%s: %s', (text, calculator, d) => {
    expect(placeFor(text)).toEqual({ calculator, d });
    expect(answerOf(calculator, { d }).ok).toBe(true);
  });

  it.each(['', 'sheave axle', 'x'.repeat(80), 'nowhere tap'])('“%s” belongs nowhere', (text) => expect(placeFor(text)).toBeUndefined());
});

describe('values that are far out', () => {
  const wild = ['0', '-1', '1e-9', '99999', '9999999', '0.0001', '1000', '', '7', '1/2', 'x'];
  it.each(calculators.map((c) => [c.id, c] as const))('%s answers in words, whatever is typed', (_, c) => {
    for (const name of Object.keys(c.fields))
      for (const text of wild)
        for (const units of ['mm', 'in'] as const) {
          const answer = c.answer({ [name]: text }, units);
          if (answer.ok) for (const row of answer.rows) if ('value' in row) expect(Number.isFinite(row.value.value)).toBe(true);
          if (!answer.ok) expect(writeSentence(answer.says, units).length).toBeGreaterThan(5);
        }
  });

  it('a feed typed in inches on an inch page is one: .005 in a revolution on a nose of 1/64 in is 8.0 um of Rz, f^2 / 8 r (geometry)', () => {
    const finish = calculators.find((c) => c.fields['f'] && c.fields['r'] && c.title.includes('Finish'));
    const answer = finish?.answer({ f: '.005', r: '1/64' }, 'in');
    const values = answer?.ok === true ? answer.rows.flatMap((r) => ('value' in r ? [r.value.value] : [])) : [];
    const rz = (1000 * 0.127 ** 2) / (8 * (25.4 / 64));
    expect(values.some((v) => Math.abs(v - rz) < 0.01 * rz)).toBe(true);
  });

  it('over one flat a micrometer reads the diameter less the depth (geometry)', () => {
    const flats = calculators.find((c) => c.id === 'flats');
    const answer = flats?.answer({ d: '20', sides: '1', across: '18' }, 'mm');
    expect(answer?.ok === true && answer.rows[0] && 'value' in answer.rows[0] ? answer.rows[0].value.value : NaN).toBeCloseTo(2, 9);
  });
});

it('the depth of a Whitworth form is 0.6403 P (BS 84, from memory), fed at no more than half of its 55 degrees', () => {
  const depth = calculators.find((c) => c.id === 'thread-depth');
  const straight = depth?.answer({ d: '1/4-20 BSW', angle: '0' }, 'mm');
  const values = straight?.ok === true ? straight.rows.flatMap((r) => ('value' in r ? [r.value.value] : [])) : [];
  expect(values[0]).toBeCloseTo(0.6403 * 1.27, 3);
  expect(depth?.answer({ d: '1/4-20 BSW', angle: '29.5' }, 'mm').ok).toBe(false);
  expect(depth?.answer({ d: '1/4-20 BSW', angle: '27' }, 'mm').ok).toBe(true);
});

it('a tap drill says what hole it makes out of the solid, and where that leaves the class', () => {
  const drills = calculators.find((c) => c.id === 'tap-drills');
  for (const d of ['M3', 'M6', 'M10', 'M12x1.5', '1/4-20', '10-32']) {
    const answer = drills?.answer({ d }, 'mm');
    if (answer?.ok !== true) throw new Error(d);
    const value = (label: string) => answer.rows.flatMap((r) => ('value' in r && r.label === label ? [r.value.value] : []))[0] ?? NaN;
    const hole = value('out of the solid it makes about');
    expect(hole - value('drill')).toBeGreaterThan(0.03);
    expect((answer.cautions ?? []).length > 0).toBe(hole > value('minor, largest'));
  }
});
