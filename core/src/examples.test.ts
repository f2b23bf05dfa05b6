/* Every `@example call // result` of the core is run: what a docstring promises is so. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const rooms = readdirSync(__dirname, { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => entry.name);

interface Example {
  readonly file: string;
  readonly call: string;
  readonly result: string;
}

const examples = rooms.flatMap((room) =>
  readdirSync(join(__dirname, room), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !/\.(test|fixture)\.ts$/.test(name))
    .flatMap((name) =>
      [...readFileSync(join(__dirname, room, name), 'utf8').matchAll(/@example (.+?) \/\/ (.+?)(?: \*\/)?$/gm)].map(
        ([, call = '', result = '']): Example => ({ file: `${room}/${name}`, call, result }),
      ),
    ),
);

// eslint-disable-next-line @typescript-eslint/no-require-imports
const offeredBy = (room: string) => require(`./${room}`) as Record<string, unknown>;
const everyRoom = Object.assign({}, ...rooms.map(offeredBy)) as Record<string, unknown>;

/** Numbers to nine places, everything else as it is. */
const rounded = (value: unknown): unknown =>
  typeof value === 'number'
    ? Number(value.toPrecision(9))
    : Array.isArray(value)
      ? value.map(rounded)
      : typeof value === 'object' && value !== null
        ? Object.fromEntries(Object.entries(value).map(([key, own]) => [key, rounded(own)]))
        : value;

it('there are examples in most rooms that look something up or compute it', () => {
  expect(examples.length).toBeGreaterThan(50);
});

it.each(examples)('$file: $call', ({ file, call, result }) => {
  // what its room offers, and what the others do
  const offered = { ...everyRoom, ...offeredBy(file.split('/')[0] ?? '') };
  const names = Object.keys(offered);
  const run = (text: string): unknown => {
    // eslint-disable-next-line @typescript-eslint/no-implied-eval, @typescript-eslint/no-unsafe-call
    const value: unknown = new Function(...names, `return (${text})`)(...names.map((n) => offered[n]));
    return value;
  };
  expect(rounded(run(call))).toEqual(rounded(run(result)));
});
