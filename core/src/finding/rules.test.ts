/* The rules of the trade are a closed set; the table for readers names the same ones. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { rules } from './rules.table';

it('the table for readers names every rule, once, in the same words', () => {
  const listed = readFileSync(join(__dirname, '..', '..', '..', 'docs', 'rules.md'), 'utf8')
    .split('\n')
    .flatMap((line) => {
      const [, name, words] = /^\| `([a-z-]+)` +\| (.*?) +\|$/.exec(line) ?? [];
      return name === undefined || words === undefined ? [] : [[name, words.replaceAll('`', '')] as const];
    });
  expect(listed.length).toBe(new Set(listed.map(([name]) => name)).size);
  expect(Object.fromEntries(listed)).toEqual(Object.fromEntries(Object.entries(rules).map(([name, words]) => [name, words])));
});
