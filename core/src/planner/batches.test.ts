/* A batch piece by piece beside operation by operation. Common practice: batch, made-to-hold. */
import { blankJob, type Job } from '../document';
import { holdingOf, midShop, practice } from '../shop';
import { batchesOf } from './batches';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shop = midShop();
const jobOf = (pieces: number, more: Partial<Job> = {}): Job => {
  const blank = blankJob('several', 'mm');
  return {
    ...blank,
    pieces,
    drawing: {
      ...blank.drawing,
      title: { edges: 'sharp' },
      outside: [
        { id: 'a', size: mm('20 h7'), length: mm('25') },
        { id: 'b', size: mm('30'), length: mm('15') },
      ],
    },
    ...more,
  };
};
const both = (job: Job) => {
  const [route] = plan(job, shop).routes;
  if (!route) throw new Error('no route');
  const [operation, piece] = batchesOf(job, route, shop);
  if (!operation || !piece) throw new Error('not both');
  return { route, operation, piece };
};

it('the same hands at every step: they differ by what changing holdings costs, worked by hand', () => {
  const { route, operation, piece } = both(jobOf(5));
  const held = route.setups.map((s) => s.holding);
  const unlike = held.filter((h, i) => i > 0 && h !== held[i - 1]).length;
  expect(unlike).toBeGreaterThan(0);
  expect(operation.changes).toBe(unlike);
  // back again for every next piece
  expect(piece.changes).toBe(5 * unlike + (held[0] === held.at(-1) ? 0 : 4));
  expect(operation.changing.value).toBeCloseTo(unlike * practice.minutesChange, 9);
  expect(operation.attended.value - operation.changing.value).toBeCloseTo(piece.attended.value - piece.changing.value, 6);
  expect(piece.first.value).toBeLessThan(operation.first.value);
});

it('a seat that was bored and left the spindle is bored anew: soft jaws go operation by operation', () => {
  const soft = jobOf(4, { choices: [{ kind: 'hold', id: 'l', setup: 'left-1', holding: 'soft-jaws', support: [] }] });
  const { route, operation, piece } = both(soft);
  expect(route.setups.map((s) => holdingOf(shop, s.holding)?.kind)).toContain('softJaws');
  const back = piece.changes * practice.minutesChange;
  expect(piece.changing.value).toBeCloseTo(back + 3 * practice.makeSoftJaws, 9);
  expect(operation.elapsed.value).toBeLessThan(piece.elapsed.value);
});

it.each([1, 50])('%d pieces: no number that is not one', (pieces) => {
  const { operation, piece } = both(jobOf(pieces));
  for (const b of [operation, piece])
    for (const f of [b.attended, b.waiting, b.changing, b.elapsed, b.first]) {
      expect(Number.isFinite(f.value)).toBe(true);
      expect(f.value).toBeGreaterThanOrEqual(0);
    }
  if (pieces === 1) expect(operation.elapsed.value).toBeCloseTo(piece.elapsed.value, 9);
});
