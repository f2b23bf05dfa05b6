/* No metal is lost or made: bar = piece + what is left + what every step took; the piece against Pappus and Guldin from the exact outline. */
import { chuckingsOf } from '../settings';
import { flattened } from '../drawing';
import { midShop, mmOf } from '../shop';
import { boundsOf, combine, rectangle, regionOf, volume } from '../stock';
import { demoJob, demoNames, demoShop } from './demo.fixture';
import type { Plan } from './plan';
import { plan } from './planning';
import { partJob, parts } from './tradeParts.fixture';

const cases: readonly (readonly [string, () => Plan, number])[] = [
  ...demoNames.map((name): readonly [string, () => Plan, number] => {
    const shop = demoShop();
    return [name, () => plan(demoJob(name), shop), mmOf(shop.bars.find((b) => b.id === plan(demoJob(name), shop).routes[0]?.bar.id)?.across)];
  }),
  ...parts.slice(0, 8).map(([name, part]): readonly [string, () => Plan, number] => [name, () => plan(partJob(name, part), midShop()), NaN]),
];

describe.each(cases)('%s', (_, make, across) => {
  const made = make();
  const [route] = made.routes;
  it('the blank is what is left and what every step removed, knurls raised taken off', () => {
    if (!route) return;
    const [first] = route.setups;
    if (!first) return;
    const whole = volume(first.before);
    if (across > 0) {
      const radius = across / 2;
      // a bar that stays whole is looked at as far as it lies in the chuck
      const [held] = chuckingsOf(route.setups);
      const stays = route.bar.cut.formula === 'barEach';
      const long = stays ? (held?.stickOut.value ?? 0) + (held?.grip.value ?? 0) : route.bar.cut.value;
      expect(whole / (Math.PI * radius * radius * long)).toBeCloseTo(1, 5);
    }
    let taken = 0;
    let raised = 0;
    let dropped = 0;
    let stock = first.before;
    for (const setup of route.setups) {
      dropped += volume(stock) - volume(setup.before);
      stock = setup.before;
      for (const step of setup.steps) {
        const change = volume(stock) - volume(step.after);
        if (step.verb === 'knurl') raised -= change;
        else taken += volume(step.removes);
        stock = step.after;
      }
    }
    const left = volume(stock);
    // slivers that are dropped, on the grid of 0.0001 mm, are all that may differ
    expect(Math.abs(whole + raised - taken - dropped - left) / whole).toBeLessThan(1e-6);
  });

  it('what leaves at severing is the stub in the jaws, whole', () => {
    const [first, second] = route?.setups ?? [];
    const severed = first?.steps.find((s) => s.verb === 'part-off' || s.verb === 'saw-off');
    const last = first?.steps.at(-1)?.after;
    if (!severed || !second || !last) return;
    const { left, right } = boundsOf(severed.removes);
    const stub =
      first.end === 'left'
        ? combine('intersection', last, rectangle(right, 1e4, -1, 1e4))
        : combine('intersection', last, rectangle(-1e4, left, -1, 1e4));
    expect((volume(last) - volume(second.before)) / volume(stub)).toBeCloseTo(1, 5);
  });

  it('the drawn part weighs what its exact outline says', () => {
    const points = flattened(made.part.contour, 1e-4);
    let exact = 0;
    points.forEach((a, i) => {
      const b = points[(i + 1) % points.length];
      if (b) exact += ((a.r + b.r) * (a.z * b.r - b.z * a.r) + 0) / 6;
    });
    const byPappus = Math.abs(2 * Math.PI * exact);
    expect(volume(regionOf(made.part.contour)) / byPappus).toBeCloseTo(1, 3);
  });

  it('every finished surface is cut by exactly the steps that claim it', () => {
    if (!route) return;
    const steps = route.setups.flatMap((s) => s.steps);
    for (const row of made.part.features.filter((f) => f.side === 'outside' && f.nearDiameter.from !== 'general' && f.form === 'cylinder')) {
      const claims = steps.filter((s) => s.does[0] === `${row.id}.diameter` && ['finish-turn', 'polish', 'neck'].includes(s.verb));
      const middle = (row.near + row.far) / 2;
      const slice = rectangle(middle - 0.05, middle + 0.05, row.nearDiameter.min / 2 - 0.05, row.nearDiameter.max / 2 + 0.02);
      const cuts = steps.filter(
        (s) => s.removes.length > 0 && s.verb !== 'part-off' && s.verb !== 'saw-off' && volume(combine('intersection', s.removes, slice)) > 1e-3,
      );
      for (const cut of cuts)
        expect([row.id, cut.id, claims.some((c) => c.id === cut.id) || !['finish-turn', 'rough-turn'].includes(cut.verb)]).toEqual([
          row.id,
          cut.id,
          true,
        ]);
    }
  });
});
