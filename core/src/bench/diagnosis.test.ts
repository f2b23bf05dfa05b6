/* What goes wrong, its causes ranked by this setup's own numbers; the lists are those of the trade, common practice. */
import { plan } from '../planner';
import { demoJob, demoShop, jobOf } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { causesOf, type Symptom, symptoms, symptomsOf } from './diagnosis';

const shop = demoShop();
const at = (job: ReturnType<typeof demoJob>, verb: string) => {
  const [route] = plan(job, shop).routes;
  const setup = route?.setups.find((s) => s.steps.some((x) => x.verb === verb));
  const step = setup?.steps.find((x) => x.verb === verb);
  if (!setup || !step) throw new Error(`no ${verb}`);
  return { setup, step };
};
const causes = (symptom: Symptom, job = demoJob('sheave-axle'), verb = 'finish-turn') => {
  const { setup, step } = at(job, verb);
  return causesOf(symptom, step, setup, shop, shop.machines[0], job.drawing.material);
};

it('every symptom has causes, each with one thing to do, none twice', () => {
  for (const symptom of Object.keys(symptoms) as Symptom[]) {
    const list = causes(symptom);
    expect(list.length).toBeGreaterThanOrEqual(3);
    expect(new Set(list.map((c) => c.remedy)).size).toBe(list.length);
    for (const c of list)
      for (const text of [writeSentence(c.says, 'mm'), writeSentence(c.does, 'mm')]) expect(text).not.toMatch(/NaN|undefined|Infinity/);
  }
});

it('chatter of a slender unsupported piece is its stick-out first; of a stout one something else', () => {
  const slender = jobOf('12 x 90');
  const choices = [{ kind: 'hold' as const, id: 'h', setup: 'right-1', holding: 'three-jaw', support: [] }];
  expect(causes('chatter', { ...slender, choices })[0]?.remedy).toBe('support');
  expect(causes('chatter', jobOf('38 x 20'))[0]?.remedy).not.toBe('support');
});

it('strings in a cut under the window of its insert: deeper, before anything', () => {
  const { setup, step } = at(demoJob('sheave-axle'), 'rough-turn');
  const thin = { ...step, figures: { ...step.figures, depth: { is: 'length' as const, value: 0.05, formula: 'distance', of: { value: 0.05 } } } };
  const [first] = causesOf('strings', thin, setup, shop, shop.machines[0], 'mild-steel');
  expect(first?.remedy).toBe('deeper');
});

it('asks only what a step can show', () => {
  expect(symptomsOf(at(demoJob('mast-dowel'), 'drill').step)).toEqual(['grabs', 'oversize', 'strings']);
  expect(symptomsOf(at(demoJob('sheave-axle'), 'thread').step)).toContain('tight');
  expect(symptomsOf(at(demoJob('sheave-axle'), 'load').step)).toEqual([]);
});
