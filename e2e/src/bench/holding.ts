import { planning } from '@obra/core/planner';
import { report } from './report';
import { demoShop, longShaft } from './shafts';

/** A shaft of 20 rows with a hole and what it wants of its holding: from the drawing read to every holding of the shop weighed. */
export function holding(): void {
  const shop = demoShop();
  const shaft = longShaft();
  const job = { ...shaft, drawing: { ...shaft.drawing, outside: shaft.drawing.outside.slice(0, 20) } };
  const took: number[] = [];
  for (let i = 0; i < 60; i++) {
    const steps = planning(job, shop);
    steps.next();
    const from = performance.now();
    const held = steps.next();
    took.push(performance.now() - from);
    if (i === 0 && held.value.reached !== 'holding') throw new Error('the shaft of 20 rows is not held');
  }
  report('holdings of 20 rows weighed', took, 30);
}
