import { midShop } from '../shop';
import type { Lesson } from '../document';
import { writeSentence } from '../quantity';
import { jobOf } from './demo.fixture';
import { plan } from './planning';

const job = jobOf('25 h6 x 40; 40 x 30');
const shop = midShop();
const machine = shop.machines[0]?.id ?? '';
const lesson = (more: Partial<Lesson>): Lesson => ({
  id: 'l1',
  at: '2026-11-29T08:00:00Z',
  says: '',
  evidence: [],
  where: { machine },
  of: 'minutes',
  mean: 2,
  deviation: 0.3,
  count: 8,
  accepted: true,
  ...more,
});
const stepsOf = (lessons: readonly Lesson[]) => plan(job, { ...shop, lessons: [...lessons] }).routes[0]?.setups.flatMap((s) => s.steps) ?? [];
const minutes = (steps: ReturnType<typeof stepsOf>, verb: string) =>
  steps.filter((s) => s.verb === verb).map((s) => s.figures['minutes']?.value ?? 0);

describe('minutes that were kept', () => {
  const before = stepsOf([]);
  const after = stepsOf([lesson({ where: { machine, verb: 'finish-turn' } })]);

  it('are planned with, said with their reason, and only of their own kind of work', () => {
    expect(minutes(after, 'finish-turn')).toEqual(minutes(before, 'finish-turn').map((m) => 2 * m));
    expect(minutes(after, 'rough-turn')).toEqual(minutes(before, 'rough-turn'));
    const [one] = after.filter((s) => s.verb === 'finish-turn');
    expect(one?.because.filter((r) => r.rule === 'lesson').map((r) => writeSentence(r.says, 'mm'))).toEqual([
      'this lathe takes 2.00 times as long for it as reckoned, kept from 8 steps',
    ]);
  });

  it('do not wear an edge: how long it is in cut is as reckoned', () => {
    const [a, b] = [before, after].map((steps) => steps.find((s) => s.verb === 'finish-turn')?.figures);
    expect(b?.['cuts']?.value).toBe(a?.['cuts']?.value);
    expect(b?.['reckoned']?.value).toBe(a?.['minutes']?.value);
  });

  it('count for nothing while they are not accepted, or of another lathe', () => {
    expect(minutes(stepsOf([lesson({ where: { machine, verb: 'finish-turn' }, accepted: false })]), 'finish-turn')).toEqual(
      minutes(before, 'finish-turn'),
    );
    expect(minutes(stepsOf([lesson({ where: { machine: 'other', verb: 'finish-turn' } })]), 'finish-turn')).toEqual(minutes(before, 'finish-turn'));
  });
});

it('a spring that was kept of a material is named in its route, and not in another material', () => {
  const tool = stepsOf([]).find((s) => s.verb === 'finish-turn')?.tool ?? '';
  const spring = (material: string) => lesson({ of: 'spring', mean: 0.12, where: { machine, tool, material } });
  const said = (lessons: readonly Lesson[]) =>
    stepsOf(lessons).flatMap((s) => s.because.filter((r) => r.rule === 'lesson').map((r) => writeSentence(r.says, 'mm')));
  expect(said([spring(job.drawing.material)]).join()).toContain('give way by 12 % of the cut');
  expect(said([spring('brass')])).toEqual([]);
});
