/* What is done when, by one person at one lathe; what waits beside it goes on meanwhile. Common practice. */
import { benchState } from '../bench';
import { blankJob, type Choice, type Job } from '../document';
import { besideLathe } from '../operations';
import { midShop } from '../shop';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shop = midShop();
const way = (value: string): Choice => ({ kind: 'way', id: 'way-batch', way: 'batch', value });
const jobOf = (pieces: number, choices: Choice[] = [], temper = true): Job => {
  const blank = blankJob('several', 'mm');
  return {
    ...blank,
    pieces,
    choices,
    drawing: {
      ...blank.drawing,
      material: 'silver-steel',
      title: { edges: 'sharp' },
      outside: [
        { id: 'a', size: mm('10 h8'), length: mm('20') },
        { id: 'b', size: mm('14'), length: mm('10') },
      ],
      treatment: temper
        ? [
            { id: 'h', kind: 'harden', value: mm('60 HRC') },
            { id: 't', kind: 'temper', value: mm('230 °C') },
          ]
        : [],
    },
  };
};
const routeOf = (job: Job) => {
  const [route] = plan(job, shop).routes;
  if (!route) throw new Error('no route');
  return route;
};

it.each([1, 2, 7, 50])('%d pieces: every step of every piece once, in its order, with one pair of hands and one lathe', (pieces) => {
  for (const mode of ['operation', 'piece']) {
    const route = routeOf(jobOf(pieces, [way(mode)]));
    const steps = route.setups.flatMap((s) => s.steps);
    expect(route.schedule).toHaveLength(pieces * steps.length);
    const ended = new Map<number, number>();
    let hands = 0;
    let lathe = 0;
    for (const line of route.schedule) {
      const step = steps.find((s) => s.id === line.step);
      expect(line.starts.value).toBeGreaterThanOrEqual(Math.max(hands, ended.get(line.piece) ?? 0) - 1e-9);
      hands = line.starts.value + line.attended.value;
      if (step && !besideLathe.includes(step.verb)) {
        expect(line.starts.value).toBeGreaterThanOrEqual(lathe - 1e-9);
        lathe = hands + line.waits.value;
      }
      ended.set(line.piece, hands + line.waits.value);
    }
    for (let piece = 1; piece <= pieces; piece++)
      expect(route.schedule.filter((l) => l.piece === piece).map((l) => l.step)).toEqual(steps.map((s) => s.id));
    const attended = route.schedule.reduce((sum, l) => sum + l.attended.value, 0);
    expect(route.time.attended.value).toBeCloseTo(attended, 6);
    expect(route.time.elapsed.value).toBeCloseTo(Math.max(...ended.values()), 6);
    expect(route.time.waiting.value).toBeCloseTo(route.time.elapsed.value - attended, 6);
  }
});

it('one piece waits for its temper with nothing to do; of several the waits lie over each other and over turning', () => {
  const [one, four] = [routeOf(jobOf(1)), routeOf(jobOf(4))];
  expect(one.time.waiting.value).toBeGreaterThanOrEqual(90);
  expect(four.time.waiting.value).toBeLessThan(4 * one.time.waiting.value - 60);
  // what cools in coolant takes minutes
  expect(routeOf(jobOf(4, [], false)).time.waiting.value).toBeLessThan(8);
});

it('each setup on all pieces, or each piece right through, as this shop does; the Bench follows', () => {
  const order = (mode: string) => routeOf(jobOf(2, [way(mode)], false)).schedule.map((l) => l.piece);
  expect(order('piece')).toEqual(order('piece').toSorted((a, b) => a - b));
  expect(order('operation')).not.toEqual(order('operation').toSorted((a, b) => a - b));
  const job = jobOf(2, [way('operation')], false);
  const made = plan(job, shop);
  const first = made.routes[0]?.setups[0]?.steps.map((s) => s.id) ?? [];
  const log = first.map((step, i) => ({ id: `e${String(i)}`, at: '2026-11-25T10:00:00Z', by: 'b', piece: 1, step, kind: 'done' as const }));
  expect(benchState(job, made, log).at).toEqual({ piece: 2, step: first[0] });
});

it('pieces that are fitted to numbered mates are finished one by one from the setup of the fit on; those made to a number are not', () => {
  const mated = (want: string): Job => {
    const job = jobOf(3, [way('operation')], false);
    return { ...job, drawing: { ...job.drawing, mates: [{ id: 'm', of: 'a', piece: 'sheave', want: mm(want) }] } };
  };
  const fitted = routeOf(mated('trial: slides'));
  const from = fitted.setups.findIndex((s) => s.steps.some((x) => x.id === 'finish-turn@a'));
  const inFit = new Set(fitted.setups.slice(from).flatMap((s) => s.steps.map((x) => x.id)));
  const pieces = fitted.schedule.filter((l) => inFit.has(l.step)).map((l) => l.piece);
  expect(pieces).toEqual(pieces.toSorted((a, b) => a - b));
  expect(
    fitted.setups
      .flatMap((s) => s.steps)
      .find((x) => x.id === 'finish-turn@a')
      ?.because.map((r) => r.rule),
  ).toContain('batch');
  const toNumber = routeOf(mated('H8/f7')).schedule.map((l) => l.piece);
  expect(toNumber).not.toEqual(toNumber.toSorted((a, b) => a - b));
});
