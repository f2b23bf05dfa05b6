import { followed, plainly, trial } from '../../../core/src/sizing/trials.fixture';

/** The advice followed on so many lathes that it does not know, and two plain ways beside it; by gauge, dial and grade. */
export function sizing(lathes: number): void {
  const rows = new Map<
    string,
    { lathes: number; in: number; past: number; changed: number; cuts: number; halving: number; halvingIn: number; onceIn: number }
  >();
  const [seen, able] = [[] as number[], { n: 0, in: 0, past: 0 }];
  for (let seed = 1; seed <= lathes; seed++) {
    const one = trial(seed);
    const ended = followed(one, seed, (s) => seen.push(s.at));
    const [half, once] = [plainly(trial(seed), seed, 0.5), plainly(trial(seed), seed, 1)];
    const key = [one.of.gauge, one.of.dial, one.of.grade].map((w) => w.padEnd(15)).join(' ');
    const row = rows.get(key) ?? { lathes: 0, in: 0, past: 0, changed: 0, cuts: 0, halving: 0, halvingIn: 0, onceIn: 0 };
    row.lathes++;
    row.in += ended.landed === 'in' ? 1 : 0;
    row.past += ended.landed === 'past' ? 1 : 0;
    row.changed += ended.said === 'changeGauge' ? 1 : 0;
    row.cuts += ended.cuts + ended.readings;
    row.halving += half.cuts + half.readings;
    row.halvingIn += half.landed === 'in' ? 1 : 0;
    row.onceIn += once.landed === 'in' ? 1 : 0;
    rows.set(key, row);
    if (!one.able) continue;
    able.n++;
    able.in += ended.landed === 'in' ? 1 : 0;
    able.past += ended.landed === 'past' ? 1 : 0;
  }
  const share = (low: number, high: number) => ((100 * seen.filter((at) => at > low && at < high).length) / seen.length).toFixed(1);
  console.log(
    `${String(lathes)} simulated lathes, ${String(seen.length)} cuts: central 50 % holds ${share(0.25, 0.75)} %, 90 % holds ${share(0.05, 0.95)} %; of ${String(able.n)} whose gauge and dial can, ${String(able.in)} landed in, ${String(able.past)} past`,
  );
  console.log('gauge           dial            grade           lathes  in   past change gauge  cuts and readings, halving   halving in  at once in');
  for (const [key, r] of [...rows].sort())
    console.log(
      `${key} ${String(r.lathes).padStart(6)} ${String(r.in).padStart(4)} ${String(r.past).padStart(5)} ${String(r.changed).padStart(12)} ${(r.cuts / r.lathes).toFixed(1).padStart(13)} ${(r.halving / r.lathes).toFixed(1).padStart(12)} ${String(r.halvingIn).padStart(12)} ${String(r.onceIn).padStart(10)}`,
    );
}
