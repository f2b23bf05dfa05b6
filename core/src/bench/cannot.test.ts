import { blankDrawing, blankJob, type Job } from '../document';
import { plan } from '../planner';
import { writeSentence } from '../quantity';
import { midShop, startingShop } from '../shop';
import { cannotHere } from './cannot';

const mm = (text: string) => ({ text, units: 'mm' as const });
const job = (rows: readonly (readonly [size: string, length: string])[], more: Partial<Job['drawing']> = {}): Job => ({
  ...blankJob('pin', 'mm'),
  drawing: { ...blankDrawing(), outside: rows.map(([size, length], i) => ({ id: `s${String(i)}`, size: mm(size), length: mm(length) })), ...more },
});
const said = (of: Job, shop = midShop()) => cannotHere(plan(of, shop)).map((c) => `${c.way}: ${writeSentence(c.says, 'mm')}`);

it('of a plain pin nothing stands in the way', () => {
  expect(said(job([['20', '40']]))).toEqual([]);
});

it('a tolerance that no gauge here proves stands under measure, with what would change it', () => {
  const shop = { ...midShop(), gauges: midShop().gauges.filter((g) => g.kind === 'rule' || g.kind === 'caliper') };
  expect(said(job([['20 h6', '40']]), shop).filter((s) => s.startsWith('measure')).length).toBeGreaterThan(0);
});

it('a part thicker than every bar stands under hold', () => {
  expect(said(job([['150', '40']]), startingShop()).some((s) => s.startsWith('hold'))).toBe(true);
});

it('a pitch that no wheel here gives stands under make, and each thing stands once', () => {
  const bare = {
    ...midShop(),
    machines: midShop().machines.map((m) => ({ ...m, gears: [], box: [] })),
    tools: midShop().tools.filter((t) => t.kind !== 'die'),
  };
  const all = said(job([['M20x1.5', '30']]), bare);
  expect(all.some((s) => s.startsWith('make'))).toBe(true);
  expect(new Set(all).size).toBe(all.length);
});
