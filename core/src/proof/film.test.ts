/* The making as it goes by is what the proof goes over: the same regions at the end of each step, every way inside what is there, time as planned. */
import type { Choice } from '../document';
import { plan } from '../planner';
import { writeSentence } from '../quantity';
import { demoJob, demoNames, demoShop, jobOf } from '../planner/demo.fixture';
import { machineOf, midShop } from '../shop';
import { area, combine } from '../stock';
import { filmOf } from './film';
import { proof } from './proof';

const mm = (text: string) => ({ text, units: 'mm' as const });
const ring = jobOf('40 x 30');
const bush = { ...ring, drawing: { ...ring.drawing, boreRight: [{ id: 'h', size: mm('20 H7'), length: mm('through') }] } };
const made = [
  ...demoNames.map((name) => [name, demoJob(name), demoShop()] as const),
  ['a stepped pin', jobOf('M12 x 18; 19 h7 x 25; 25 x 38; 12 x 10'), midShop()] as const,
  ['a bush', bush, midShop()] as const,
].flatMap(([name, job, shop]) => {
  const whole = plan(job, shop);
  const [route] = whole.routes;
  return route
    ? [
        {
          name,
          route,
          part: whole.part,
          shop,
          film: filmOf(route, shop, whole.part, machineOf(shop, job.machine)),
          machine: machineOf(shop, job.machine),
        },
      ]
    : [];
});
const held: Choice = { kind: 'hold', id: 'h', setup: 'right-1', holding: 'three-jaw', support: [{ item: 'live-centre' }] };
const stepsOf = (route: (typeof made)[number]['route']) => route.setups.flatMap((s) => s.steps);

it('there is something to see', () => expect(made.length).toBeGreaterThan(6));

describe.each(made.map((m) => [m.name, m] as const))('%s', (_, { route, film, shop, part, machine }) => {
  it('ends each step in what the plan and the proof have there, by its area', () => {
    for (const [i, step] of stepsOf(route).entries()) {
      const reel = film.reels[i];
      if (!reel || step.after.length === 0) continue;
      expect(area(reel.after)).toBeCloseTo(area(step.after), 3);
      const last = reel.ways.findLast((w) => w.cuts);
      if (last) expect(area(last.after)).toBeCloseTo(area(step.after), 3);
    }
  });

  it('passes only take metal off, one after another, and none of the piece that is left', () => {
    for (const reel of film.reels)
      for (const way of reel.ways) {
        expect(area(way.after)).toBeLessThanOrEqual(area(way.before) + 1e-6);
        expect(area(combine('difference', reel.after, way.after))).toBeLessThan(0.02 * Math.max(1, area(reel.after)));
      }
  });

  it('takes as long as the plan says, step by step', () => {
    for (const [i, step] of stepsOf(route).entries()) {
      const reel = film.reels[i];
      if (!reel) throw new Error('no such step');
      const minutes = step.figures['minutes']?.value ?? 0;
      expect(reel.minutes).toBeCloseTo(minutes, 9);
      expect(reel.hands + reel.ways.reduce((sum, w) => sum + w.minutes, 0)).toBeCloseTo(minutes, 6);
    }
    expect(film.minutes).toBeCloseTo(
      film.reels.reduce((sum, r) => sum + r.minutes, 0),
      9,
    );
  });

  it('touches where the proof says so, and nowhere else', () => {
    const told = new Set(
      proof(route, shop, part, machine).flatMap((f) => (f.code.startsWith('meets-') || f.code === 'rapid-through-metal' ? [f.about] : [])),
    );
    const seen = new Set(film.reels.filter((r) => r.touches.length > 0).map((r) => r.step));
    expect([...seen].toSorted()).toEqual([...told].toSorted());
    for (const reel of film.reels)
      for (const touch of reel.touches) {
        expect(touch.at).toBeGreaterThanOrEqual(0);
        expect(touch.at).toBeLessThanOrEqual(1);
        expect(reel.ways[touch.way]).toBeDefined();
      }
  });
});

it('roughing goes by pass by pass', () => {
  const pin = made.find((m) => m.name === 'a stepped pin');
  const rough = pin && stepsOf(pin.route).find((s) => s.verb === 'rough-turn' && (s.figures['passes']?.value ?? 0) > 2);
  const reel = pin?.film.reels.find((r) => r.step === rough?.id);
  const cuts = reel?.ways.filter((w) => w.cuts) ?? [];
  expect(cuts.length).toBe(Math.round(rough?.figures['passes']?.value ?? 0));
  const areas = cuts.map((w) => area(w.after));
  expect(areas.every((a, i) => i === 0 || a < (areas[i - 1] ?? 0))).toBe(true);
});

it('a stout insert meets the live centre beside a slim end: on its way, before the end of it, as deep as the proof says', () => {
  const shop = midShop();
  const stout = { ...shop, tools: shop.tools.map((t) => (t.kind === 'turn' ? { ...t, insert: 'CNMG120408', lead: mm('95') } : t)) };
  const slim = { ...jobOf('8 x 40; 20 x 120'), choices: [held] };
  const whole = plan(slim, stout);
  const [route] = whole.routes;
  const machine = machineOf(stout, slim.machine);
  if (!route) throw new Error('no route');
  const touches = filmOf(route, stout, whole.part, machine).reels.flatMap((r) => r.touches.map((t) => ({ ...t, length: r.ways.length })));
  const centre = touches.filter((t) => t.standing === 'centre');
  expect(centre.length).toBeGreaterThan(0);
  for (const t of centre) {
    expect(t.at).toBeGreaterThan(0);
    expect(t.at).toBeLessThan(1);
    expect(t.way).toBeLessThan(t.length);
  }
  const deepest = Math.max(
    ...proof(route, stout, whole.part, machine).flatMap((f) =>
      f.code === 'meets-centre' ? [Number(/by ([\d.]+)/.exec(writeSentence(f.says, 'mm'))?.[1])] : [],
    ),
  );
  expect(Math.max(...centre.map((t) => t.by))).toBeCloseTo(deepest, 1);
});
