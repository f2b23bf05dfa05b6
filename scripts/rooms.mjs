// The picture of the rooms in docs/maintaining.md, made from what they import: npm run api writes it, npm run check compares it.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

const FILE = join(root, 'docs', 'maintaining.md');
const [BEGIN, END] = ['<!-- rooms: made by npm run api -->', '<!-- /rooms -->'];

/** Which rooms of the core each one takes something from. */
function uses() {
  const src = join(root, 'core', 'src');
  const rooms = readdirSync(src, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => entry.name);
  return new Map(
    rooms.map((room) => {
      const files = readdirSync(join(src, room), { recursive: true }).filter((file) => /(?<!\.test|\.fixture)\.ts$/.test(file));
      const taken = files.flatMap((file) =>
        [...readFileSync(join(src, room, file), 'utf8').matchAll(/from '(?:\.\.\/)+(\w+)'/g)].map(([, from]) => from),
      );
      return [room, new Set(taken.filter((from) => from !== room && rooms.includes(from)))];
    }),
  );
}

/** Only what does not follow from the rest: an arrow less wherever there is a longer way. */
function arrows(all) {
  const reaches = (from, to, seen = new Set()) =>
    [...(all.get(from) ?? [])].some((next) => next === to || (!seen.has(next) && seen.add(next) && reaches(next, to, seen)));
  return [...all]
    .flatMap(([room, below]) => [...below].filter((to) => ![...below].some((other) => other !== to && reaches(other, to))).map((to) => [room, to]))
    .sort();
}

function drawn(text) {
  const lines = arrows(uses()).map(([room, to]) => `  ${room} --> ${to}`);
  const picture = [BEGIN, '```mermaid', 'flowchart TD', ...lines, '```', END].join('\n');
  const [before, rest] = text.split(BEGIN);
  return `${before}${picture}${rest?.split(END)[1] ?? ''}`;
}

/** True when the picture that is checked in is the one of the code. */
export const roomsAsDrawn = () => readFileSync(FILE, 'utf8') === drawn(readFileSync(FILE, 'utf8'));

if (process.argv[1] === import.meta.filename) writeFileSync(FILE, drawn(readFileSync(FILE, 'utf8')));
