/* Parts of the trade, of our own invention, planned in the mid-size starting shop; what a turner expects of each, as rules. All of it common practice. */
import type { Step } from '../operations';
import { chuckingsOf } from '../settings';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { violations } from './judge';
import { plan } from './planning';
import { partJob, parts } from './tradeParts.fixture';

const shop = midShop();

describe.each(parts)('%s', (name, part, expected) => {
  const job = partJob(name, part);
  const made = plan(job, shop);
  const [route] = made.routes;
  const steps: readonly Step[] = route?.setups.flatMap((s) => s.steps) ?? [];
  const at = (id: string, from = 0) =>
    steps.findIndex((s, i) => i >= from && (s.id === id || s.id.replace(/:.*/, '') === id || s.id.startsWith(`${id}@`) || s.id.startsWith(id)));

  it('is planned as a turner would expect', () => {
    for (const code of expected.says ?? []) expect(made.findings.map((f) => f.code)).toContain(code);
    if (expected.says?.includes('bar-too-small')) return;
    if (!route) throw new Error(made.findings.map((f) => writeSentence(f.says, 'mm')).join('; '));
    for (const chain of expected.inOrder ?? []) {
      let from = -1;
      for (const id of chain) {
        const next = at(id, from + 1);
        expect([name, chain.join(' < '), id, next > from]).toEqual([name, chain.join(' < '), id, true]);
        from = next;
      }
    }
    for (const [a, b] of expected.together ?? []) {
      const setup = (id: string) => route.setups.findIndex((s) => s.steps.some((x) => x.id.replace(/:.*/, '') === id));
      expect([a, b, setup(a)]).toEqual([a, b, setup(b)]);
      expect(setup(a)).toBeGreaterThanOrEqual(0);
    }
    for (const id of expected.never ?? []) expect(at(id)).toBe(-1);
    expected.held?.forEach((kinds, i) => {
      const held = shop.holdings.find((h) => h.id === chuckingsOf(route.setups)[i]?.holding)?.kind;
      expect([name, i, kinds.split(' ')]).toEqual([name, i, expect.arrayContaining([held])]);
    });
    if (expected.centre !== undefined) {
      const first = chuckingsOf(route.setups)[0];
      const between = route.setups.some((s) => s.carried === 'centres');
      expect(between || (first?.support.some((s) => s.kind === 'centre') ?? false)).toBe(expected.centre);
    }
  });

  it('breaks no rule by the judge, and shows no number that is not one', () => {
    if (!route) return;
    expect(violations(route, made.part, job, shop).map((f) => `${f.code} ${f.about}: ${writeSentence(f.says, 'mm')}`)).toEqual([]);
    for (const step of steps) for (const figure of Object.values(step.figures)) expect(Number.isFinite(figure.value)).toBe(true);
    expect(steps.every((s) => s.because.length > 0)).toBe(true);
  });
});

it('are thirty and more', () => {
  expect(parts.length).toBeGreaterThanOrEqual(30);
});
