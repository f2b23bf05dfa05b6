/* What small trials show of a lathe. Common practice: a radius dial takes twice, collars halve the taper, high less low is the runout. */
import { applyEdits } from '../finding';
import { writeSentence } from '../quantity';
import { mmOf } from './items';
import { learnBacklash, learnCollars, learnDial, type Learned, learnRunout } from './learn';
import { midShop } from './otherShops';

const shop = midShop();
const [machine] = shop.machines;
if (!machine?.dials.cross) throw new Error('no lathe');
const lathe = {
  ...machine,
  dials: { ...machine.dials, cross: { ...machine.dials.cross, division: { text: '0.02', units: 'mm' as const } } },
  assumed: ['dials', 'speeds'],
};
const with_ = { ...shop, machines: [lathe, ...shop.machines.slice(1)] };
const said = (l: Learned) => writeSentence(l.says, 'mm');
const after = (l: Learned) => applyEdits(with_, l.edits);

it.each([
  [20, 19.6, 'radius', 'it reads radius'],
  [20, 19.8, 'diameter', 'it reads diameter'],
  [20, 19.62, 'radius', 'it reads radius; 5 % less came off than dialled: spring, or a worn screw'],
] as const)('%d before, %d after ten divisions of 0.02: %s', (before, now, reads, words) => {
  const learned = learnDial(lathe, before, now, 10);
  expect(said(learned)).toBe(words);
  expect(after(learned).machines[0]?.dials.cross?.reads).toBe(reads);
  // what was measured is assumed no longer
  expect(after(learned).machines[0]?.assumed).toEqual(['speeds']);
});

it.each([
  [20, 19.7],
  [20, 19.95],
  [20, 20.2],
])('%d before and %d after fit no dial and change nothing', (before, now) => {
  const learned = learnDial(lathe, before, now, 10);
  expect(said(learned)).toContain('neither radius nor diameter');
  expect(learned.edits).toEqual([]);
});

it('backlash goes into the record in the units of the dial; nonsense does not', () => {
  expect(after(learnBacklash(lathe, 6)).machines[0]?.dials.cross?.backlash).toEqual({ text: '0.12', units: 'mm' });
  const inches = { ...lathe, dials: { cross: { ...lathe.dials.cross, division: { text: '.001', units: 'in' as const } } } };
  expect(after(learnBacklash(inches, 5)).machines[0]?.dials.cross?.backlash).toEqual({ text: '0.005', units: 'in' });
  for (const wrong of [-1, NaN, 1e308, 500]) expect(learnBacklash(lathe, wrong).edits).toEqual([]);
});

it('two collars: a taper of 0.04 over 200 is 0.05 of tailstock over 500, half the difference scaled to the length', () => {
  const learned = learnCollars(lathe, 30, 30.04, 200, 500);
  expect(said(learned)).toBe('it stands 0.050 mm too far from you: move it towards you, or keep it in mind');
  expect(mmOf(after(learned).machines[0]?.tailstockOffset)).toBeCloseTo(0.05, 9);
  expect(said(learnCollars(lathe, 30.04, 30, 200, 500))).toContain('too near to you');
  expect(said(learnCollars(lathe, 30, 30.001, 200, 500))).toBe('it stands true');
  for (const [apart, long] of [
    [0, 500],
    [600, 500],
    [-1, 500],
  ] as const)
    expect(learnCollars(lathe, 30, 30.04, apart, long).edits).toEqual([]);
  expect(learnCollars(lathe, 30, 60, 200, 500).edits).toEqual([]);
});

it('the live centre runs out by high less low', () => {
  const learned = learnRunout(with_, 0.012, 0);
  const centre = after(learned).holdings.find((h) => h.kind === 'liveCentre');
  expect(mmOf(centre?.trueWithin)).toBeCloseTo(0.012, 9);
  expect(learnRunout(with_, 2, 0).edits).toEqual([]);
  expect(learnRunout({ ...with_, holdings: [] }, 0.01, 0).edits).toEqual([]);
});
