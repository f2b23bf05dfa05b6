/* A thread tried with its ring. Tolerance of the pitch diameter: ISO 965-1, from memory 0.150 for M12x1.75-6g; along a compound at 29.5 degrees one unit takes 2 cos 29.5. */
import { plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { fitByFeel, furtherByFeel } from './byFeel';

const shop = demoShop();
const [machine] = shop.machines;
const made = (infeed: string) => {
  const own = { ...shop, ways: { ...shop.ways, infeed, thread: 'single-point' } };
  const of = plan(jobOf('M12 x 25; 20 x 30'), own);
  const step = of.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'thread');
  if (!step) throw new Error('no thread');
  return (feel: string) => furtherByFeel(step, of, own, machine, feel);
};

it('half of the tolerance where the ring does not go, a quarter where it starts tight, by what the dial can show; nothing once it goes', () => {
  const along = made('flank');
  const none = along('does not go');
  expect(none?.axis).toBe('compound');
  const exact = (0.5 * 0.15) / (2 * Math.cos((29.5 * Math.PI) / 180));
  expect(Math.abs((none?.dial.value ?? 0) - exact)).toBeLessThan(0.006);
  expect(along('starts, tight')?.dial.value).toBeLessThan(none?.dial.value ?? 0);
  expect(along('starts, tight')?.dial.value).toBeGreaterThan(0);
  expect(along('gauge goes')).toBeUndefined();
  const straight = made('straight')('does not go');
  expect(straight?.axis).toBe('cross');
  // straight in, on a dial of the radius: a quarter of 0.150
  expect(Math.abs((straight?.dial.value ?? 0) - 0.0375)).toBeLessThan(0.006);
});

/* Creep to fit, common practice: half of what is left, never less than the edge cuts; emery once it enters; never force. */
describe('a fit tried with its mate', () => {
  const outside = { inside: false, left: 0.3, least: 0.02, takes: 2, settable: 0.01 };
  const words = (answer: ReturnType<typeof fitByFeel>) => (answer ? writeSentence(answer.says, 'mm') : '');

  it('does not enter: half of what the gauge says is left, on a dial of the radius', () => {
    expect(fitByFeel('does not enter', 'trial: slides', outside)?.dial?.value).toBeCloseTo(0.07, 6);
    expect(fitByFeel('does not enter', 'trial: slides', { ...outside, takes: 1 })?.dial?.value).toBeCloseTo(0.15, 6);
  });

  it('less than the edge cuts is emery, and nothing by the gauge is a burr', () => {
    const honed = fitByFeel('does not enter', 'trial', { ...outside, least: 0.133 });
    expect(honed?.dial).toBeUndefined();
    expect(words(honed)).toContain('emery');
    expect(words(fitByFeel('does not enter', 'trial', { ...outside, left: -0.002 }))).toContain('burr');
    expect(words(fitByFeel('does not enter', 'trial', { ...outside, left: undefined }))).toContain('measure it');
  });

  it.each([
    ['slides', 'trial: slides', true],
    ['slides', 'trial', true],
    ['wants a push', 'trial: wants a push', true],
    ['wants a push', 'trial: slides', false],
    ['falls in', 'trial: slides', false],
  ])('%s where “%s” is wanted', (feel, want, fits) => {
    const answer = fitByFeel(feel, want, outside);
    expect(answer?.fits === true).toBe(fits);
    expect(answer?.dial).toBeUndefined();
  });

  it('is never forced, and nothing puts metal back', () => {
    expect(words(fitByFeel('wants a press', 'trial: slides', outside))).toContain('never force');
    expect(words(fitByFeel('falls in', 'trial: slides', outside))).toContain('looser');
    expect(fitByFeel('purrs', 'trial', outside)).toBeUndefined();
  });
});
