/* The filter against importance sampling of the same model, and against closed forms. */
import { judged } from '../planner/judged.fixture';
import { randomFrom, simulated, type Truth } from '../lathe';
import { afterCut, believed, comesOff, type Happened, prior, type Priors, sizeAfter, sizeNow } from './estimate';

const priors: Priors = {
  spring: 0.1,
  factor: 1.8,
  bias: 0.006,
  repeat: 0.008,
  setting: 0.004,
  reversal: 0,
  uneven: 0.003,
  drift: 0.001,
  least: 0,
  before: [0.3, 0.1],
};

/** A history as the model itself would make it. */
function history(seed: number): readonly Happened[] {
  const random = randomFrom(seed);
  const spring = priors.spring * priors.factor ** random.normal();
  const bias = priors.bias * random.normal();
  const drift = priors.drift * random.normal();
  let size = 30;
  let edge = size - spring * (priors.before[0] + priors.before[1] * random.normal());
  const events: Happened[] = [];
  const read = () => events.push({ kind: 'read', size: size + bias + priors.repeat * random.normal(), doubt: 0, near: 0.01 });
  read();
  for (const by of [0.3, 0.25, 0.3].slice(0, 1 + (seed % 3))) {
    edge += drift - by + priors.setting * random.normal();
    size = (edge + spring * size) / (1 + spring) + priors.uneven * random.normal();
    events.push({ kind: 'cut', by });
    read();
  }
  return events;
}

/** The same question by brute force: many worlds drawn from the priors, weighed by how likely they make what was read. */
function sampled(
  events: readonly Happened[],
  by: number,
  seed: number,
): { readonly mean: number; readonly deviation: number; readonly worlds: number } {
  const random = randomFrom(seed + 999);
  const draws = 60_000;
  let [sum, one, two, squares] = [0, 0, 0, 0];
  const [first, ...rest] = events;
  if (first?.kind !== 'read') throw new Error('a history begins with a reading');
  for (let i = 0; i < draws; i++) {
    const spring = priors.spring * priors.factor ** Math.max(-2.6, Math.min(2.6, random.normal()));
    const bias = priors.bias * random.normal();
    const drift = priors.drift * random.normal();
    // of a size that may be anything the first reading leaves only its own doubt
    let size = first.size - bias - priors.repeat * random.normal();
    let edge = size - spring * (priors.before[0] + priors.before[1] * random.normal());
    let log = 0;
    const cut = (off: number) => {
      edge += drift - off + priors.setting * random.normal();
      size = (edge + spring * size) / (1 + spring) + priors.uneven * random.normal();
    };
    for (const event of rest) {
      if (event.kind === 'cut') cut(event.by);
      else log -= (event.size - size - bias) ** 2 / (2 * priors.repeat ** 2);
    }
    cut(by);
    const weight = Math.exp(log);
    sum += weight;
    squares += weight * weight;
    one += weight * size;
    two += weight * size * size;
  }
  const mean = one / sum;
  return { mean, deviation: Math.sqrt(Math.max(0, two / sum - mean * mean)), worlds: (sum * sum) / squares };
}

it.each(Array.from({ length: judged(20) }, (_, i) => i + 1))('history %d: forecast as by importance sampling', (seed) => {
  const events = history(seed);
  const { mean, deviation } = sizeAfter(believed(priors, 30, events), 0.28);
  const by = sampled(events, 0.28, seed);
  expect(by.worlds).toBeGreaterThan(300);
  const error = by.deviation / Math.sqrt(by.worlds);
  expect(Math.abs(mean - by.mean)).toBeLessThan(5 * error);
  expect(deviation / by.deviation).toBeGreaterThan(0.85);
  expect(deviation / by.deviation).toBeLessThan(1.15);
});

describe('closed forms', () => {
  const exact: Priors = {
    spring: 0.25,
    factor: 1.000001,
    bias: 0,
    repeat: 1e-6,
    setting: 0,
    reversal: 0,
    uneven: 0,
    drift: 0,
    least: 0,
    before: [0, 0],
  };
  const quiet: Truth = {
    seed: 1,
    takes: 1,
    division: 0.01,
    cyclic: 0,
    turn: 1,
    sticks: 0,
    backlash: 0.1,
    spring: 0.25,
    leastDepth: 0,
    builtUp: 0,
    wear: 0,
    warms: 0,
    alpha: 11.5,
    cools: 20,
    room: 20,
    crests: 0.01,
    runout: 0,
    gauge: { bias: 0, repeat: 0, slips: 0 },
    begins: 30,
  };

  it('n cuts at one setting leave (s / (1 + s))^n of what the first left: the lathe and the estimate alike', () => {
    const lathe = simulated(quiet);
    lathe.cut(1);
    const left = [lathe.truth() - 29];
    let belief = afterCut(prior(exact, 30), 1);
    const told = [sizeNow(belief).mean - 29];
    for (let n = 0; n < 5; n++) {
      lathe.springCut();
      left.push(lathe.truth() - 29);
      belief = afterCut(belief, 0);
      told.push(sizeNow(belief).mean - 29);
    }
    const share = 0.25 / 1.25;
    left.forEach((l, n) => expect(l).toBeCloseTo(share ** (n + 1), 9));
    told.forEach((l, n) => expect(l).toBeCloseTo(share ** (n + 1), 5));
  });

  it('like cuts take alike; a light one after a heavy one takes more than was dialled (big-then-small, common practice)', () => {
    const lathe = simulated(quiet);
    for (let i = 0; i < 12; i++) lathe.cut(0.5);
    const before = lathe.truth();
    lathe.cut(0.5);
    expect(before - lathe.truth()).toBeCloseTo(0.5, 6);
    const heavy = lathe.truth();
    lathe.cut(0.05);
    expect(heavy - lathe.truth()).toBeGreaterThan(0.05);
    expect(heavy - lathe.truth()).toBeCloseTo((0.05 + 0.25 * 0.5) / 1.25, 6);
  });

  it('a hundred readings never know more than the bias of their gauge', () => {
    const biased: Priors = { ...priors, bias: 0.004, repeat: 0.002 };
    const one = sizeNow(
      believed(
        biased,
        30,
        Array.from({ length: 100 }, () => ({ kind: 'read' as const, size: 30.01, doubt: 0, near: 0.01 })),
      ),
    );
    expect(one.deviation).toBeGreaterThanOrEqual(0.004);
    expect(one.deviation).toBeLessThan(0.0042);
  });

  it('reversed without coming from the same side, the backlash is missing from the cut', () => {
    const [same, back] = [simulated(quiet), simulated(quiet)];
    same.cut(0.5);
    back.cut(0.5, 1);
    expect(back.truth() - same.truth()).toBeCloseTo(0.1 / 1.25, 9);
  });

  it('a setting that is turned back to is less sure by what is left of the backlash; one that is gone on to is not', () => {
    const known = (reversal: number) =>
      believed({ ...exact, reversal, spring: 0.01, before: [1, 0] }, 30, [{ kind: 'read', size: 30, doubt: 0, near: 0.01 }]);
    const after = (reversal: number, by: number) => sizeAfter(known(reversal), by);
    expect(after(0.004, 0.1).deviation).toBeCloseTo(after(0, 0.1).deviation, 9);
    // the whole of it reaches the size but for the spring: 0.004 / 1.01
    expect(after(0.004, -0.005).deviation).toBeCloseTo(0.004 / 1.01, 4);
  });

  it('warm work reads over, by alpha times the size for each degree, and cools as e to the minus time (Newton; ISO 1 for 20 C)', () => {
    const lathe = simulated({ ...quiet, crests: 0, warms: 20 });
    lathe.cut(1);
    const over = 1.5 + 20 * (1 / 1.25);
    expect(lathe.read() - lathe.truth()).toBeCloseTo((lathe.truth() * 11.5 * over) / 1e6, 9);
    lathe.wait(20);
    expect(lathe.read() - lathe.truth()).toBeCloseTo((lathe.truth() * 11.5 * over) / Math.E / 1e6, 9);
  });

  it('what comes off and what is given back make the forecast', () => {
    const belief = believed(priors, 30, history(4));
    const { share, back } = comesOff(belief);
    expect(sizeNow(belief).mean - 0.3 * share - back).toBeCloseTo(sizeAfter(belief, 0.3).mean, 9);
  });
});
