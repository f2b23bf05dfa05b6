/* Worked values of the entries that came last, each against what stands in a named table or follows from geometry by another way. */
import fc from 'fast-check';
import { writeSentence } from '../quantity';
import { calculatorNamed } from './calculators';
import { stack } from './rollCalculators';

const answerOf = (id: string, texts: Readonly<Record<string, string>> = {}) => {
  const answer = calculatorNamed(id)?.answer(texts, 'mm');
  if (!answer?.ok) throw new Error(`${id} has no answer`);
  return answer;
};
const value = (id: string, texts: Readonly<Record<string, string>>, label: string): number => {
  const row = answerOf(id, texts).rows.find((r) => r.label === label);
  if (!row || !('value' in row)) throw new Error(`${id} has no ${label}`);
  return row.value.value;
};

describe('tables, from memory', () => {
  it.each([
    // DIN 6885-1: over 22 to 30: 8 x 7, 4 and 3.3; over 38 to 44: 12 x 8, 5 and 3.3
    ['keyways', { d: '25' }, 'width of the key', 8],
    ['keyways', { d: '25' }, 'left under it, from the far side', 21],
    ['keyways', { d: '40' }, 'depth in the shaft', 5],
    ['keyways', { d: '40' }, 'over bore and keyway of the hub', 43.3],
    // ISO 7-1: R 1/2, gauge plane 8.2, pitch diameter there 19.793, pitch 25.4 / 14
    ['taper-pipe', { d: 'R 1/2' }, 'gauge plane from that end', 8.2],
    ['taper-pipe', { d: 'R 1/2' }, 'pitch diameter there', 19.793],
    ['taper-pipe', { d: 'R 1/2' }, 'pitch', 25.4 / 14],
    // 1:16 is 1.7899 degrees a side
    ['taper-pipe', { d: '1/2 NPT' }, 'compound or attachment set to', 1.7899],
    // ASME B1.20.1: 1/2 NPT, hand-tight plane 0.320 in, pitch diameter there 0.77843 in
    ['taper-pipe', { d: '1/2 NPT' }, 'gauge plane from that end', 0.32 * 25.4],
    ['taper-pipe', { d: '1/2 NPT' }, 'pitch diameter there', 0.77843 * 25.4],
    // ISO 2904: Tr40x7, root of the bolt 32, depth 4
    ['trapezoidal', { d: 'Tr40x7' }, 'minor, basic', 32],
    ['trapezoidal', { d: 'Tr40x7' }, 'depth of the groove, on radius', 4],
    // 0.366 x 7 - 0.536 x 0.5
    ['trapezoidal', { d: 'Tr40x7' }, 'end of the tool, most', 2.294],
    // ASME B1.5: flat at the root 0.3707 P - 0.259 x clearance, .020 in at 5 to the inch
    ['trapezoidal', { d: '1-5 Acme' }, 'end of the tool, most', (0.3707 * 0.2 - 0.259 * 0.02) * 25.4],
    // ISO 18265 table A.1
    ['hardness', { scale: 'HV', value: '300' }, 'HB', 285],
    ['hardness', { scale: 'HV', value: '300' }, 'HRC', 29.8],
    ['hardness', { scale: 'HV', value: '500' }, 'tensile strength', 1630],
    ['hardness', { scale: 'HRC', value: '57.3' }, 'HV', 640],
    // definitions
    ['temperatures', { scale: 'C', value: '100' }, '°F', 212],
    ['temperatures', { scale: 'F', value: '-40' }, '°C', -40],
    ['pressures', { unit: 'atm', value: '1' }, 'psi', 14.696],
    ['pressures', { unit: 'psi', value: '1000' }, 'MPa, N/mm²', 6.895],
    // ISO 1302: N6 is Ra 0.8
    ['roughness-grades', { Ra: '', N: '6' }, 'Ra', 0.8],
    // base tangent over 3 teeth of 20, module 1: 7.6604 (gear tables)
    ['gear-blank', { m: '1', z: '20' }, 'over 3 teeth', 7.6604],
    ['gear-blank', { m: '2', z: '20', z2: '40' }, 'between centres with its mate', 60],
    // DIN 82 RAA: d2 = d1 - 0.5 t, trimmed to whole teeth
    ['knurls', { d: '20', pitch: '1', form: 'straight' }, 'turn the blank to', 19.5],
    // DIN 6499: 8 degrees a side
    ['collet-seats', { what: '25' }, 'compound set to', 8],
    ['collet-seats', { what: '1:10', D: '30', L: '50' }, 'small end', 25],
    // 2 x 1.718 / 1:10 is 2.862 degrees (ISO 1119)
    ['collet-seats', { what: '1:10', D: '30', L: '50' }, 'compound set to', 2.8624],
  ] as const)('%s %j: %s', (id, texts, label, wanted) => {
    expect(Math.abs(value(id, texts, label) - wanted)).toBeLessThan(label === 'turn the blank to' ? 0.17 : Math.max(6e-4, Math.abs(wanted) * 8e-4));
  });
});

describe('geometry, by another way', () => {
  it('a chord of 40 with 5 over it: the parts of two chords have one product (Euclid III 35)', () => {
    expect(value('chord-radius', { c: '40', h: '5' }, 'diameter')).toBeCloseTo(20 ** 2 / 5 + 5, 9);
    expect(value('chord-radius', { c: '40', h: '', R: '42.5' }, 'height')).toBeCloseTo(5, 9);
  });

  it('a ball of 10 stepped off: 3-4-5 stands 2 from its end, and every place lies on the ball (Pythagoras)', () => {
    const rows = answerOf('step-off', { what: 'ball', R: '10', step: '0.5' }).table?.rows ?? [];
    const numbers = rows.map((row) => row.map((cell) => ('is' in cell ? cell.value : NaN)));
    expect(numbers.find(([z]) => z === 4)?.[1]).toBeCloseTo(16, 9);
    for (const [z = NaN, d = NaN] of numbers) expect(Math.hypot(10 - z, d / 2)).toBeCloseTo(10, 9);
    // on radius the dial goes half of what comes off
    for (const [, d = NaN, dial = NaN] of numbers) expect(20 - d).toBeCloseTo(2 * dial, 9);
  });

  it('a fillet begins on its small diameter and ends a radius out', () => {
    const rows = answerOf('step-off', { what: 'fillet', R: '3', d: '20', step: '0.5' }).table?.rows ?? [];
    const of = (i: number) => rows.at(i)?.map((cell) => ('is' in cell ? cell.value : NaN)) ?? [];
    expect(of(0)[1]).toBeCloseTo(20, 9);
    expect(of(-1)).toEqual([3, 26, 0, 0]);
  });

  it('a tool half a millimetre off centre at 20: hypot(10, 0.5) in place of 10', () => {
    expect(value('tool-height', { d: '20', h: '0.5' }, 'comes out larger by')).toBeCloseTo(2 * (Math.hypot(10, 0.5) - 10), 9);
  });

  it('rolls by a cone: laid out by co-ordinates, each roll touches plate and side', () => {
    const [small, half, d, H] = [20, 4, 10, 40];
    const t = Math.tan((half * Math.PI) / 180);
    // centre at height y, off the side by its radius: x = small / 2 + t y + r / cos
    const centre = (y: number) => small / 2 + t * y + d / 2 / Math.cos((half * Math.PI) / 180);
    const over = (y: number) => 2 * centre(y) + d;
    const texts = { M1: over(d / 2).toFixed(9), M2: over(H + d / 2).toFixed(9), H: '40', d: '10' };
    expect(value('taper-rolls', texts, 'compound set to, half of the angle')).toBeCloseTo(half, 5);
    expect(value('taper-rolls', texts, 'small end, on the plate')).toBeCloseTo(small, 5);
  });

  it('rolls in a dovetail: its centre stands a radius from the floor and from the side', () => {
    const [w, a, d] = [40, 60, 8];
    const M = value('dovetails', { side: 'out', w: '40', a: '60', d: '8', deep: '12' }, 'over the rolls');
    const [x, y] = [M / 2 - d / 2, d / 2];
    // the flank runs from the corner upwards and outwards
    const [ux, uy] = [Math.cos((a * Math.PI) / 180), Math.sin((a * Math.PI) / 180)];
    expect(Math.abs((x - w / 2) * uy - y * ux)).toBeCloseTo(d / 2, 9);
    const between = value('dovetails', { side: 'in', w: '40', a: '60', d: '8', deep: '12' }, 'between the rolls');
    expect(M - w).toBeCloseTo(w - between, 9);
  });

  it('triangles: 3-4-5 is right, and what comes out satisfies the rule of sines', () => {
    expect(value('triangles', { known: 'sss', a: '3', b: '4', c: '5' }, 'angle C')).toBeCloseTo(90, 9);
    expect(value('triangles', { known: 'right', a: '5', b: '12' }, 'side c')).toBeCloseTo(13, 9);
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 100, noNaN: true }),
        fc.double({ min: 10, max: 100, noNaN: true }),
        fc.double({ min: 10, max: 160, noNaN: true }),
        (a, b, B) => {
          const texts = { known: 'sas', a: a.toFixed(4), b: b.toFixed(4), B: B.toFixed(3) };
          const of = (label: string) => value('triangles', texts, label);
          const ratio = (side: string, angle: string) => of(side) / Math.sin((of(angle) * Math.PI) / 180);
          return (
            Math.abs(of('angle A') + of('angle B') + of('angle C') - 180) < 1e-6 &&
            Math.abs(ratio('side a', 'angle A') / ratio('side c', 'angle C') - 1) < 1e-5 &&
            Math.abs(of('angle C') - Number(texts.B)) < 1e-3
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  it('a pass of equal area: the first of n takes as much as the last, the depth goes with its root', () => {
    const rows = answerOf('thread-infeeds', { d: 'M20x2.5', angle: '0', springs: '0', division: '0' }).table?.rows ?? [];
    const depths = rows.map((row) => (row[1] && 'is' in row[1] ? row[1].value : NaN));
    const areas = depths.map((d, i) => d ** 2 - (depths[i - 1] ?? 0) ** 2);
    for (const area of areas) expect(area / (areas[0] ?? 1)).toBeCloseTo(1, 6);
    expect(depths.at(-1)).toBeCloseTo(0.613 * 2.5, 2);
  });

  it('weight: a round of 20 is 2.466 kg a metre at 7850 kg/m3 (steel tables), a hexagon 10 % more than the round in it', () => {
    const kg = value('weight', { across: '20', L: '1000' }, 'it weighs');
    expect((kg * 7850) / value('weight', {}, 'density, kg/m³')).toBeCloseTo(2.466, 3);
    expect(value('weight', { form: 'hex' }, 'it weighs') / kg).toBeCloseTo((2 * Math.sqrt(3)) / Math.PI, 6);
  });

  it('time, speed and spring by hand: 80 + 3 at 0.15 and 500 rpm twice; pi 25 800; F L3 / 3 E I', () => {
    expect(value('machining-time', {}, 'in the cut')).toBeCloseTo((2 * 83) / 75, 9);
    expect(value('surface-speed', {}, 'surface speed')).toBeCloseTo(Math.PI * 20, 9);
    const F = value('boring-bar', {}, 'force against it');
    expect(value('boring-bar', {}, 'springs away')).toBeCloseTo((F * 48 ** 3) / (3 * 210_000 * ((Math.PI * 12 ** 4) / 64)), 12);
  });

  it('walls: a ring of 60 with a bore of 45 that is 0.03 off reads so at any place', () => {
    const at = [0, 90, 180, 270].map((deg) => (7.5 + 0.03 * Math.cos((deg * Math.PI) / 180)).toFixed(4)).join('; ');
    expect(value('walls', { D: '60', at }, 'bore')).toBeCloseTo(45, 6);
    expect(value('walls', { D: '60', at }, 'bore off centre by')).toBeCloseTo(0.03, 6);
  });

  it('blocks: a stack makes what is wanted to the last digit, each block once, where the set can', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3000, max: 99995 }), (n) => {
        const wanted = n / 1000;
        const row = answerOf('gauge-blocks', { wanted: wanted.toFixed(3), set: 'm87' }).rows.find((r) => r.label === 'off by');
        return row !== undefined && 'value' in row && Math.abs(row.value.value) < 1e-9;
      }),
      { numRuns: 60 },
    );
    expect(stack(10, [3, 3, 4])).toEqual([4, 3]);
    expect(stack(7, [3, 4])).toEqual([4, 3]);
  });

  it('a lathe of 6 mm with a 127 wheel cuts 8 to the inch exactly, and says when it cuts nothing', () => {
    const inch = answerOf('lathe-threads', { screw: '6', wheels: '40 50 60 80 120 127', what: 'inch', levers: '' });
    const line = inch.table?.rows.find((row) => row[0] && !('is' in row[0]) && writeSentence(row[0], 'mm') === '8 to the inch');
    expect(line?.[3]).toEqual(['exact']);
    expect(value('lathe-threads', { screw: '6', wheels: '40', what: 'inch', levers: '' }, 'pitches of this list that it cuts')).toBe(0);
  });
});
