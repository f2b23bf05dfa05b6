/* Both halves of a fit beside each other. ISO 286-2 limits and ISO 492 ring tolerances as named beside each check, from memory. */
import { blankDrawing, type Mate } from '../document';
import { writeSentence } from '../quantity';
import { fitOf } from './fitOf';
import { looseToTight } from './looseToTight';
import { readDrawing } from './readDrawing';

const mm = (text: string) => ({ text, units: 'mm' as const });
function fitFor(size: string, want: string, measured?: string, hole = false) {
  const mate: Mate = {
    id: 'm',
    of: 's',
    piece: 'mate',
    want: mm(want),
    ...(measured !== undefined && { measured: { readings: [mm(measured)], gauge: 'g' } }),
  };
  const part = readDrawing({
    ...blankDrawing(),
    outside: hole ? [{ id: 'o', size: mm('60'), length: mm('40') }] : [{ id: 's', size: mm(size), length: mm('40') }],
    boreRight: hole ? [{ id: 's', size: mm(size), length: mm('through') }] : [],
    mates: [mate],
  });
  const got = part.mates['m'];
  return got && fitOf(hole ? 'right' : 'outside', got);
}

it.each([
  // 25 H7: 0/+0.021
  ['25', 'H7/p6', -0.035, -0.001], // p6 +0.022/+0.035
  ['25', 'H7/g6', 0.007, 0.041], // g6 -0.020/-0.007
  ['25', 'H7/k6', -0.015, 0.019], // k6 +0.002/+0.015
  ['50', 'H7/s6', -0.059, -0.018], // 50 H7 0/+0.025, s6 +0.043/+0.059
  // a ring of 25: 0/-0.010; k5 +0.002/+0.011
  ['25', 'bearing k5', -0.021, -0.002],
])('%s %s lies between %f and %f', (size, want, tight, loose) => {
  const fit = fitFor(size, want);
  expect(fit?.tightest.value).toBeCloseTo(tight, 6);
  expect(fit?.loosest.value).toBeCloseTo(loose, 6);
  expect(fit?.own).toBe('shaft');
});

it('a measured mate is what it is: only the half that is made has a tolerance', () => {
  const fit = fitFor('20', 'clearance 0.02 to 0.05', '20.01');
  expect(fit?.hole).toEqual({ max: 20.01, min: 20.01 });
  expect([fit?.tightest.value, fit?.loosest.value]).toEqual([expect.closeTo(0.02, 6), expect.closeTo(0.05, 6)]);
  const bush = fitFor('20', 'clearance 0.02 to 0.05', '20.01', true);
  expect(bush?.own).toBe('hole');
  expect([bush?.tightest.value, bush?.loosest.value]).toEqual([expect.closeTo(0.02, 6), expect.closeTo(0.05, 6)]);
  expect(fitFor('20', 'clearance 0.05')).toBeUndefined();
  expect(fitFor('20', 'trial: slides')).toBeUndefined();
});

it('what is likely is kept in 19 of 20 of drawn pairs, each normal with its limits three deviations off', () => {
  const fit = fitFor('25', 'H7/k6');
  if (!fit) throw new Error('no fit');
  let state = 7;
  const next = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
  const drawn = ({ max, min }: { readonly max: number; readonly min: number }) =>
    (max + min) / 2 + ((max - min) / 6) * Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
  const [tight, loose] = fit.likely;
  const tries = 40_000;
  let within = 0;
  for (let i = 0; i < tries; i++) {
    const gap = drawn(fit.hole) - drawn(fit.shaft);
    if (gap >= tight.value && gap <= loose.value) within++;
  }
  expect(within / tries).toBeCloseTo(0.95, 2);
});

it('is said as loose, tight, or from the one to the other', () => {
  const said = (tight: number, loose: number) => writeSentence(looseToTight(tight, loose), 'mm');
  expect(said(0.007, 0.041)).toBe('0.007 mm to 0.041 mm loose');
  expect(said(-0.035, -0.001)).toBe('0.001 mm to 0.035 mm tight');
  expect(said(-0.015, 0.019)).toBe('from 0.019 mm loose to 0.015 mm tight');
});
