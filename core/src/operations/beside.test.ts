/* What is done beside the lathe, and what is left on a size for it. Common practice. */
import { sizedAt } from '../bench';
import { blankJob, type Choice, type Job } from '../document';
import { applyEdits } from '../finding';
import { plan } from '../planner';
import { writeSentence } from '../quantity';
import { mayMove } from '../sequence';
import { midShop } from '../shop';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shop = midShop();
const pin = (drawing: Partial<Job['drawing']>, choices: Choice[] = []): Job => {
  const blank = blankJob('pin', 'mm');
  return {
    ...blank,
    choices,
    drawing: {
      ...blank.drawing,
      title: { edges: 'sharp' },
      outside: [
        { id: 'a', size: mm('20 h6'), length: mm('40') },
        { id: 'b', size: mm('25'), length: mm('10') },
      ],
      ...drawing,
    },
  };
};
const stepsOf = (job: Job) => plan(job, shop).routes[0]?.setups.flatMap((s) => s.steps) ?? [];
const finish = (job: Job) => stepsOf(job).find((s) => s.id === 'finish-turn@a');

it('what plating adds is left off, twice on a diameter; the Bench sizes to that, the drawing is not changed', () => {
  const plated = pin({ treatment: [{ id: 'p', kind: 'plate', value: mm('0.01') }] });
  expect(finish(plated)?.limits).toMatchObject({ max: 19.98, min: 19.967 });
  expect(finish(plated)?.figures['to']?.value).toBeCloseTo(19.9735, 9);
  const step = finish(plated);
  expect(step && sizedAt(step, plan(plated, shop), shop, shop.machines[0], undefined)?.limits).toMatchObject({ max: 19.98, min: 19.967 });
  expect(finish(pin({}))?.limits).toBeUndefined();
  // a general size is not touched, nor one whose plating has a slip of units
  expect(stepsOf(plated).find((s) => s.id === 'finish-turn@b')?.limits).toBeUndefined();
  expect(finish(pin({ treatment: [{ id: 'p', kind: 'plate', value: mm('10') }] }))?.limits).toBeUndefined();
});

it('a bore is made larger by what plating takes up', () => {
  const bush = pin({
    boreRight: [{ id: 'h', size: mm('12 H7'), length: mm('through') }],
    treatment: [{ id: 'p', kind: 'plate', value: mm('0.01') }],
  });
  expect(stepsOf(bush).find((s) => s.id === 'bore@h')?.limits).toMatchObject({ max: 12.038, min: 12.02 });
});

it('emery where it is the way of the shop: a hundredth and a half left, then taken off, measured again', () => {
  const emeried = pin({}, [{ kind: 'way', id: 'w', way: 'emery', value: 'leave' }]);
  expect(finish(emeried)?.limits).toMatchObject({ max: 20.015, min: 20.002 });
  const ids = stepsOf(emeried).map((s) => s.id);
  expect(ids.indexOf('polish@a')).toBe(ids.indexOf('finish-turn@a') + 1);
  expect(
    stepsOf(emeried)
      .find((s) => s.verb === 'polish')
      ?.cautions.join(),
  ).toMatch(/never wrapped round/);
  expect(ids).not.toContain('polish@b');
});

it('cut, hardened, tempered at once, then its surface, then joined, however they were written down', () => {
  const job = pin({
    details: [{ id: 'x', kind: 'crossHole', on: 'a', at: mm('10'), size: mm('4') }],
    treatment: [
      { id: 'k', kind: 'black', value: mm('') },
      { id: 't', kind: 'temper', value: mm('260 °C, 1 h') },
      { id: 'q', kind: 'harden', value: mm('60 HRC') },
    ],
    mates: [{ id: 'm', of: 'a', piece: 'the cheek block', want: mm('light press') }],
  });
  const made = plan(job, shop);
  const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const at = ['check@left', 'away@x', 'harden@q', 'temper@t', 'surface@k', 'join@m'].map((id) => steps.findIndex((s) => s.id === id));
  expect(at).toEqual(at.toSorted((a, b) => a - b));
  expect(at).not.toContain(-1);
  expect(writeSentence(steps.find((s) => s.id === 'temper@t')?.says ?? [], 'mm')).toBe('tempered at 260 °C (500 °F), 1:00 h');
  expect(steps.find((s) => s.id === 'harden@q')?.cautions.join()).toMatch(/extinguisher/);
  const [route] = made.routes;
  expect(route && mayMove(route, made.part, 'temper@t', -1)).toMatchObject({ ok: false, rule: 'harden-last' });
});

it.each([
  ['shrink fit', /shrunk/],
  ['retaining compound', /compound/],
  ['sliding', undefined],
])('a mate that is to be %s', (want, says) => {
  const joined = stepsOf(pin({ mates: [{ id: 'm', of: 'a', piece: '', want: mm(want) }] })).find((s) => s.verb === 'join');
  if (says) expect(writeSentence(joined?.says ?? [], 'mm')).toMatch(says);
  else expect(joined).toBeUndefined();
});

it('what is hardened and fine is left on for the wheel, ground once it is hard, and measured then; what is coarse is not', () => {
  const job = pin({
    boreRight: [{ id: 'h', size: mm('10 H7'), length: mm('through') }],
    treatment: [
      { id: 'q', kind: 'harden', value: mm('60 HRC') },
      { id: 't', kind: 'temper', value: mm('200') },
      { id: 'k', kind: 'black', value: mm('') },
    ],
  });
  const steps = stepsOf(job);
  // 20 h6 and 10 H7 with a quarter of a millimetre for the wheel: common practice 0.2 to 0.5
  expect(finish(job)?.limits).toMatchObject({ max: 20.25, min: 20.237 });
  expect(steps.find((s) => s.id === 'bore@h')?.limits).toMatchObject({ max: 9.765, min: 9.75 });
  const ids = steps.map((s) => s.id);
  expect(['harden@q', 'temper@t', 'grind@a', 'grind@h', 'surface@k'].map((id) => ids.indexOf(id))).toEqual(
    ['harden@q', 'temper@t', 'grind@a', 'grind@h', 'surface@k'].map((id) => ids.indexOf(id)).toSorted((a, b) => a - b),
  );
  const wheel = steps.find((s) => s.id === 'grind@a');
  expect(wheel?.limits).toMatchObject({ max: 20, min: 19.987 });
  expect(wheel?.gauge).toBeDefined();
  expect(wheel?.cautions.join()).toMatch(/guarded/);
  expect(ids).not.toContain('grind@b');
  expect(stepsOf(pin({})).some((s) => s.verb === 'grind')).toBe(false);
  // plated after grinding: the wheel works to what is left for the plating
  const plated = pin({ treatment: [...job.drawing.treatment, { id: 'p', kind: 'plate', value: mm('0.01') }] });
  expect(stepsOf(plated).find((s) => s.id === 'grind@a')?.limits).toMatchObject({ max: 19.98, min: 19.967 });
});

it('a slender piece that is hardened is left more for the wheel', () => {
  const slender = pin({ outside: [{ id: 'a', size: mm('10 h7'), length: mm('150') }], treatment: [{ id: 'q', kind: 'harden', value: mm('') }] });
  expect(finish(slender)?.limits?.max).toBeCloseTo(10.4, 9);
  expect(plan(slender, shop).findings.filter((f) => f.code === 'metal-left' || f.code === 'gouged')).toEqual([]);
});

it.each([
  ['500 F 30 min', 'in', 'tempered at 260 °C (500 °F), 30:00', 30],
  ['500 F, 30 min', 'mm', 'tempered at 260 °C (500 °F), 30:00', 30],
  ['200', 'mm', 'tempered at 200 °C (392 °F), 1:00 h', 60],
] as const)('a temper of “%s” in %s: %s, and its clock takes that time', (text, units, says, minutes) => {
  const of = pin({ treatment: [{ id: 't', kind: 'temper', value: { text, units } }] });
  const { routes, findings } = plan(of, shop);
  const step = routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id === 'temper@t');
  expect(writeSentence(step?.says ?? [], 'mm')).toBe(says);
  expect(step?.figures['waits']?.value).toBe(minutes);
  expect(findings.some((f) => f.code === 'treatment-unit')).toBe(false);
});

it('a bare number of degrees in an inch job is asked about, the cooler of the two taken until it is said', () => {
  const of = pin({ treatment: [{ id: 't', kind: 'temper', value: { text: '500, 1 h', units: 'in' } }] });
  const { findings, routes } = plan(of, shop);
  const asked = findings.find((f) => f.code === 'treatment-unit');
  expect(writeSentence(asked?.says ?? [], 'in')).toBe('tempered at 500: degrees C or F?');
  expect(writeSentence(routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id === 'temper@t')?.says ?? [], 'in')).toContain('260 °C');
  const [fahrenheit] = asked?.mends ?? [];
  const mended = fahrenheit && applyEdits(of, fahrenheit.edits);
  expect(mended?.drawing.treatment[0]?.value.text).toBe('500 F, 1 h');
  expect(mended && plan(mended, shop).findings.some((f) => f.code === 'treatment-unit')).toBe(false);
});
