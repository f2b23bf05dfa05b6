/* One press of the big key: what it writes down at each card, and what it refuses. */
import { parseJobFile, SCHEMA } from '../document';
import type { Limits } from '../drawing';
import { plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { type Advice, adviseWith } from '../sizing';
import { type Card, press, type Typed, type Written } from './press';

const shop = demoShop();
const job = jobOf('19 h7 x 30; 25 x 20');
const made = plan(job, shop);
const step = made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'finish-turn' && s.gauge !== undefined);
if (!step) throw new Error('nothing is measured');
const limits: Limits = { nominal: 19, max: 19, min: 18.979, from: 'class' };
const of = step.does[0] ?? '';
const machine = shop.machines[0];
const gauge = shop.gauges.find((g) => g.id === 'mic-0-25') ?? shop.gauges[0];
const line = { at: '2026-11-02T08:00:00.000Z', by: 'me', piece: 1, step: step.id };
const adviceAt = (...sizes: readonly string[]): Advice =>
  adviseWith(
    limits,
    sizes.map((text, i) => ({ ...line, id: `e${String(i)}`, kind: 'reading', of, value: { text, units: 'mm' }, gauge: gauge?.id ?? '' })),
    { machine, gauge, material: 'mild-steel', nose: 0.4 },
  );
const card = (more: Partial<Card> = {}): Card => ({
  piece: 1,
  step,
  plan: made,
  sized: { kind: 'outside', limits, of, axis: 'cross' },
  advice: adviceAt(),
  reading: { of, limits, gauge: 'mic-0-25' },
  picked: false,
  along: undefined,
  gauge: 'mic-0-25',
  ...more,
});
const typed = (text: string, celsius = '', more: Partial<Typed> = {}): Typed => ({ text, celsius, gaugeUnits: 'mm', units: 'mm', ...more });
const kinds = (written: Written) => ('entries' in written ? written.entries.map((e) => e.kind) : writeSentence(written.refused, 'mm'));
const only = (written: Written) => ('entries' in written ? written.entries[0] : undefined);

it('a reading is kept as it was typed, in the units of its gauge, with its temperature in C where that is not 20', () => {
  expect(only(press(card(), typed('19,626')))).toEqual({
    piece: 1,
    step: step.id,
    kind: 'reading',
    of,
    value: { text: '19,626', units: 'mm' },
    gauge: 'mic-0-25',
  });
  expect(only(press(card(), typed('.7512', '93 F', { gaugeUnits: 'in' })))).toMatchObject({
    value: { text: '.7512', units: 'in' },
    celsius: expect.closeTo(33.89, 2),
  });
  expect(only(press(card({ along: 12.5 }), typed('19.6')))).toMatchObject({ along: { text: '12.5', units: 'mm' } });
});

it('what cannot be read is refused with the reason, and writes nothing', () => {
  expect(kinds(press(card(), typed('abc')))).toMatch(/^Reading: .*abc.*\.$/);
  expect(kinds(press(card(), typed('19.6', '900')))).toMatch(/^Temperature: /);
  // 68 in an inch job may be either
  expect(kinds(press(card(), typed('19.6', '68', { units: 'in' })))).toMatch(/^Temperature: /);
});

it('where a reading is wanted, nothing else is written', () => {
  expect(kinds(press(card(), undefined))).toBe('Type the reading first.');
  const { sized } = card();
  const untold: Advice = { ...adviceAt('18.99'), next: 'changeGauge', stands: 'notTold' };
  expect(kinds(press(card({ sized, advice: untold }), undefined))).toContain('finer gauge');
});

it('the cut that was advised is written with what was foretold of it', () => {
  const advice = adviceAt('19.626');
  expect(advice.dial).toBeDefined();
  const cut = only(press(card({ advice }), undefined));
  expect(cut).toMatchObject({ kind: 'cut', axis: 'cross', told: { expects: advice.expects.value } });
  expect(cut?.kind === 'cut' && Number(cut.dial.text)).toBeCloseTo(advice.dial?.value ?? NaN, 9);
});

it('a worn edge is indexed first; a size that its gauge leaves in doubt is accepted by name; else the step is done', () => {
  expect(kinds(press(card({ advice: { ...adviceAt(), next: 'indexTip' } }), undefined))).toEqual(['symptom']);
  const doubtful: Advice = { ...adviceAt('18.99'), next: 'changeGauge', stands: 'in' };
  expect(kinds(press(card({ advice: doubtful }), undefined))).toEqual(['accepted', 'done']);
  const sure = adviceAt('18.99');
  expect(sure.stands).toBe('in');
  expect(kinds(press(card({ advice: sure }), undefined))).toEqual(['done']);
  expect(only(press(card({ advice: sure }), undefined))).toMatchObject({ made: { of: of.split('.')[0] } });
});

it('a step that nothing is measured at is done by a press, whatever was typed', () => {
  expect(kinds(press(card({ sized: undefined, advice: undefined, reading: undefined }), typed('19')))).toEqual(['done']);
});

it('what is written can be read again', () => {
  const all = [
    press(card(), typed('19.626', '34')),
    press(card({ advice: adviceAt('19.626') }), undefined),
    press(card({ advice: adviceAt('18.99') }), undefined),
  ];
  const log = all.flatMap((w) => ('entries' in w ? w.entries : [])).map((e, i) => ({ ...e, id: `p${String(i)}`, at: line.at, by: 'me' }));
  const file = { obra: 'job', schema: SCHEMA, id: 'j', revision: 1, saved: line.at, by: 'me', job, log };
  const read = parseJobFile(file);
  expect(read.ok && read.value.log).toHaveLength(3);
});
