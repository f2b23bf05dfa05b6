/* The table of rules for maintainers against the code: every place it names keeps the rule, and every reason a step can give stands in it. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '..', '..', '..');
const rows = readFileSync(join(root, 'docs', 'rules.md'), 'utf8')
  .split('\n')
  .flatMap((line) => {
    const cells = line.split('|').map((c) => c.trim());
    const name = /^`([a-z-]+)`$/.exec(cells[1] ?? '')?.[1];
    return name === undefined ? [] : [{ name, where: [...(cells[3] ?? '').matchAll(/`([^`]+)`/g)].map((m) => m[1] ?? '') }];
  });

it.each(rows.filter((r) => r.where.length > 0).flatMap((r) => r.where.map((file) => [r.name, file] as const)))('%s is kept in %s', (name, file) => {
  expect(readFileSync(join(root, 'core', 'src', file), 'utf8')).toContain(name);
});

it('names each rule once', () => {
  expect(rows.length).toBeGreaterThan(75);
  expect(new Set(rows.map((r) => r.name)).size).toBe(rows.length);
});

it('knows every rule of order', () => {
  const code = readFileSync(join(__dirname, 'rules.ts'), 'utf8');
  const named = new Set(rows.map((r) => r.name));
  for (const [, rule] of code.matchAll(/rule: '([a-z-]+)'/g)) expect([rule, named.has(rule ?? '')]).toEqual([rule, true]);
});
