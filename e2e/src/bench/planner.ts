import { choicesOf, plan, planning } from '@obra/core/planner';
import { midShop } from '@obra/core/shop';
import fc from 'fast-check';
import { enumerated, fewHoldings } from '../../../core/src/planner/enumerated.fixture';
import { smallJob, smallPart } from '../../../core/src/planner/smallParts.fixture';
import { measured, report, share } from './report';
import { demoJob, demoShop, longShaft, shaftOf } from './shafts';

/** The demo and a shaft of 30 rows planned whole. */
export async function plans(): Promise<void> {
  const shop = demoShop();
  for (const [name, job] of [
    ...['sheave-axle', 'pintle-pin', 'mast-dowel'].map((n) => [n, demoJob(n)] as const),
    ['30 rows', longShaft()] as const,
  ]) {
    await measured(`plan of ${name}`, () => void plan(job, shop));
  }
}

/** Time until a route stands and until it is proved; a row changed while all else is pinned; how both grow with features. */
export function routes(): void {
  const shop = demoShop();
  const grown: (readonly [number, number])[] = [];
  for (const [features, aims] of [
    [5, undefined],
    [10, undefined],
    [20, [100, 400]],
    [40, [400, 1200]],
    [60, [1000, undefined]],
  ] as const) {
    const [route, proof]: [number[], number[]] = [[], []];
    for (let i = 0; i < 25; i++) {
      const from = performance.now();
      for (const made of planning(shaftOf(features, i), shop)) if (made.reached === 'route') route.push(performance.now() - from);
      proof.push(performance.now() - from);
    }
    // the first few warm the program up
    for (const took of [route, proof]) took.splice(0, 5);
    report(`${String(features)} features, to the route`, route, aims?.[0]);
    report(`${String(features)} features, proved`, proof, aims?.[1]);
    grown.push([features, share(route, 0.5)]);
  }
  const [[n0, t0], [n1, t1]] = [grown[1] ?? [1, 1], grown.at(-1) ?? [2, 1]];
  console.log(`time to the route grows with features to the power ${(Math.log(t1 / t0) / Math.log(n1 / n0)).toFixed(2)}`);
  const job = shaftOf(20, 0);
  const first = plan(job, shop).routes[0];
  if (!first) throw new Error('the shaft of 20 features has no route');
  const choices = [...choicesOf(first, job)];
  const pinned: number[] = [];
  for (let i = 1; i <= 25; i++) {
    const outside = job.drawing.outside.map((r) => (r.id === 'r7' ? { ...r, length: { text: (9 + i / 50).toFixed(3), units: 'mm' as const } } : r));
    const from = performance.now();
    for (const made of planning({ ...job, choices, drawing: { ...job.drawing, outside } }, shop))
      if (made.reached === 'route') pinned.push(performance.now() - from);
  }
  report('20 features pinned, one changed', pinned.slice(5), 50);
}

/** The planner against plain enumeration: how many of so many drawn parts cost what the cheapest of all routes costs, and are known to. */
export function judge(count: number): void {
  const few = fewHoldings(midShop(), ['three-jaw', 'collets', 'live-centre']);
  const from = performance.now();
  let [parts, same, proven, looked] = [0, 0, 0, 0];
  for (const of of fc.sample(smallPart, { seed: 20261126, numRuns: count })) {
    const job = smallJob(of);
    const made = plan(job, few);
    const judged = enumerated(job, few);
    if (!judged) continue;
    parts++;
    looked += judged.looked;
    const cost = made.routes[0]?.cost.total.value ?? NaN;
    if (Math.abs(cost - judged.cost) < 1e-9) same++;
    if (made.gap < 1e-12) proven++;
  }
  console.log(
    `${String(count)} drawn parts, ${String(parts)} with a route: ${String(same)} cost what the cheapest of ${String(looked)} tried orders costs, to 1e-9; ${String(proven)} with gap 0; ${((performance.now() - from) / 1000).toFixed(0)} s`,
  );
}
