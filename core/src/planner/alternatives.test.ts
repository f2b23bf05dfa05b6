/* Whole other ways of making a part, beside the one in hand. */
import { chuckingsOf } from '../settings';
import { writeSentence } from '../quantity';
import { type Alternative, alternatives, provedAlternative } from './alternatives';
import { demoJob, demoShop, jobOf } from './demo.fixture';
import { plan } from './planning';

const shop = demoShop();
const of = (job: ReturnType<typeof demoJob>): readonly Alternative[] => alternatives(job, shop, plan(job, shop));

it('lays up to three ways beside it, each different, each taken by its choices', () => {
  const job = jobOf('M12 x 18; 19 h7 x 25; 25 x 38');
  const ways = of(job);
  expect(ways.length).toBeGreaterThan(0);
  expect(ways.length).toBeLessThanOrEqual(3);
  expect(new Set(ways.map((w) => writeSentence(w.differs, 'mm'))).size).toBe(ways.length);
  const now = plan(job, shop).routes[0];
  for (const way of ways) {
    const ids = new Set(way.choices.map((c) => c.id));
    const taken = plan({ ...job, choices: [...job.choices.filter((c) => !ids.has(c.id)), ...way.choices] }, shop);
    expect(taken.routes[0]).toEqual(way.route);
    expect(way.more.value).toBeCloseTo(way.route.cost.total.value - (now?.cost.total.value ?? 0), 9);
  }
});

it('says what each gains and costs in checks: without its centre a slender pin bends', () => {
  const ways = of(demoJob('pintle-pin'));
  const alone = ways.find((w) => chuckingsOf(w.route.setups)[0]?.support.length === 0 && chuckingsOf(w.route.setups)[0]?.settings.length === 1);
  if (alone) expect(alone.costs.map((s) => writeSentence(s, 'mm')).join()).toMatch(/sticks out|bends/);
  expect(ways.some((w) => w.more.value !== 0)).toBe(true);
});

it('no check is met and cleared by the same way, in whatever setup it stands', () => {
  const names = ['pintle-pin', 'mast-dowel', 'rudder-shaft', 'sheave-axle', 'windlass-spindle', 'chainplate-ring'] as const;
  for (const way of names.flatMap((name) => of(demoJob(name)))) {
    const costs = way.costs.map((s) => writeSentence(s, 'mm'));
    expect(way.gains.map((s) => writeSentence(s, 'mm')).filter((said) => costs.includes(said))).toEqual([]);
  }
});

it('each says in a line what it buys, in numbers that are those of the two routes', () => {
  const job = jobOf('M12 x 18; 19 h7 x 25; 25 x 38');
  const now = plan(job, shop);
  for (const way of of(job)) {
    const said = way.buys.map((s) => writeSentence(s, 'mm'));
    const less = (now.routes[0]?.cost.minutes.value ?? 0) - way.route.cost.minutes.value;
    const fewer = chuckingsOf(now.routes[0]?.setups ?? []).length - chuckingsOf(way.route.setups).length;
    expect(said.length).toBeLessThanOrEqual(2);
    expect(said.some((s) => s.includes(' min less a piece'))).toBe(
      less > 0.5 && said.length > 0 && !(fewer > 0 && said.length === 2 && !said.join().includes(' min ')),
    );
    if (fewer > 0) expect(said[0]).toMatch(/^\d chuckings? less$/);
  }
  // turned to its length and parted there, nothing is turned round
  const ring = jobOf('40 x 6');
  const turned = of(ring).find((w) => chuckingsOf(w.route.setups).length < chuckingsOf(plan(ring, shop).routes[0]?.setups ?? []).length);
  if (turned) expect(writeSentence(turned.buys[0] ?? [], 'mm')).toBe('1 chucking less');
});

it('a part that is given out has none: the Bench works from what was issued', () => {
  const job = demoJob('sheave-axle');
  const made = plan(job, shop);
  expect(alternatives({ ...job, issue: { at: '2026-11-25T12:00:00Z', app: 't', choices: [], kit: shop } }, shop, made)).toEqual([]);
});

describe('ways that differ in more than a holding', () => {
  it('the other end first is one of them, whole, with setups and what it costs', () => {
    const ends = (['pintle-pin', 'mast-dowel', 'rudder-shaft'] as const).flatMap((name) => of(demoJob(name)));
    const other = ends.filter((w) => w.kind === 'first');
    expect(other.length).toBeGreaterThan(0);
    for (const way of other) {
      expect(writeSentence(way.differs, 'mm')).toBe('end B first');
      expect(chuckingsOf(way.route.setups).map((s) => s.end)).toEqual(['left', 'right']);
      expect(way.setups).toBe(way.route.setups.length);
    }
  });

  it('is not proved until it is asked for; then it is found what the whole plan would find', () => {
    const job = demoJob('rudder-shaft');
    const made = plan(job, shop);
    for (const way of alternatives(job, shop, made)) {
      const found = provedAlternative(job, shop, way.choices);
      const ids = new Set(way.choices.map((c) => c.id));
      const whole = plan({ ...job, choices: [...job.choices.filter((c) => !ids.has(c.id)), ...way.choices] }, shop);
      for (const f of found) expect(whole.findings).toContainEqual(f);
      expect(found.every((f) => /^(meets|near|rapid|cuts|bar|drills|ring|metal|gouged)/.test(f.code))).toBe(true);
    }
  });

  it('with a holding chosen by a person only what keeps that route is laid beside it', () => {
    const job = jobOf('M12 x 18; 19 h7 x 25; 25 x 38');
    const held = { ...job, choices: [{ kind: 'hold' as const, id: 'h', setup: 'right-1', holding: 'three-jaw', support: [] }] };
    expect(of(held).every((w) => w.route.first === 'right' && w.route.layout === 'chuck')).toBe(true);
  });

  it('says where the risk to a size differs', () => {
    const ways = of(demoJob('windlass-spindle'));
    for (const { here, now } of ways.flatMap((w) => w.risks)) expect(Math.abs(here.value - now.value)).toBeGreaterThanOrEqual(0.05);
  });
});
