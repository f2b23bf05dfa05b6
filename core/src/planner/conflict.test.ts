/* Choices that cannot be had together: with the named ones no route, less any one of them there is one. @source QuickXplain, Junker 2004 */
import fc from 'fast-check';
import type { Choice, Job, Shop } from '../document';
import { writeSentence } from '../quantity';
import { conflictingChoices } from './conflict';
import { demoShop, jobOf } from './demo.fixture';
import type { Plan } from './plan';
import { plan } from './planning';

const shop = demoShop();
const job = jobOf('M12 x 18; 19 h7 x 25; 25 x 38');
const bad: readonly Choice[] = [
  { kind: 'hold', id: 'hold', setup: 'right-1', holding: 'collets', support: [] },
  { kind: 'bar', id: 'bar', bar: 'mild-32' },
];

it('a collet and a bar too thick for it: both are named, either let go mends it', () => {
  const made = plan({ ...job, choices: [{ kind: 'way', id: 'w', way: 'infeed', value: 'straight' }, ...bad] }, shop);
  const told = made.findings.find((f) => f.code === 'choices-conflict');
  expect(told?.mends.map((m) => m.edits)).toEqual([[{ op: 'remove', at: 'choices/#hold' }], [{ op: 'remove', at: 'choices/#bar' }]]);
  expect(writeSentence(told?.says ?? [], 'mm')).toMatch(/cannot be had together: end A in .*; bar /);
  for (const one of bad) expect(plan({ ...job, choices: [one] }, shop).findings.map((f) => f.code)).not.toContain('choices-conflict');
});

it('what no choice can mend is not blamed on choices', () => {
  const none: Shop = { ...shop, bars: [] };
  expect(plan({ ...job, choices: bad.slice(1) }, none).findings.map((f) => f.code)).not.toContain('choices-conflict');
});

it('drawn sets that may not stand together: what is named is one of them, and is the least', () => {
  const names = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];
  fc.assert(
    fc.property(fc.array(fc.uniqueArray(fc.constantFrom(...names), { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 4 }), (forbidden) => {
      const choices: readonly Choice[] = names.map((id) => ({ kind: 'method', id, of: id, method: 'x' }));
      const empty = plan(job, shop);
      // a planner that stops exactly on the forbidden sets
      const planner = (of: Job): Plan => {
        const ids = new Set(of.choices.map((c) => c.id));
        const stops = forbidden.some((set) => set.every((id) => ids.has(id)));
        return { ...empty, findings: stops ? [{ code: 'not-made', about: 'route', severity: 'stop', says: [], why: [], mends: [] }] : [] };
      };
      const found = conflictingChoices({ ...job, choices: [...choices] }, shop, planner);
      const stopped = (of: readonly Choice[]) => planner({ ...job, choices: [...of] }).findings.length > 0;
      expect(stopped(found)).toBe(true);
      for (const one of found) expect(stopped(found.filter((c) => c !== one))).toBe(false);
    }),
    { numRuns: 200, seed: 9 },
  );
});
