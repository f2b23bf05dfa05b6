// What each room of the core offers, as a list that is checked in: npm run api writes it, npm run check compares it.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { root } from './root.mjs';

const FILE = join(root, 'core', 'api.md');

/** The list as it is now. */
function api() {
  const src = join(root, 'core', 'src');
  const rooms = readdirSync(src, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => entry.name)
    .sort();
  const fileOf = (room) => join(src, room, 'index.ts');
  const program = ts.createProgram(rooms.map(fileOf), {
    target: ts.ScriptTarget.ES2022,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    module: ts.ModuleKind.ESNext,
  });
  const checker = program.getTypeChecker();
  const offered = rooms.flatMap((room) => {
    const source = program.getSourceFile(fileOf(room));
    const symbol = source && checker.getSymbolAtLocation(source);
    if (!symbol) return [];
    const all = checker.getExportsOfModule(symbol).map((name) => {
      const of = name.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(name) : name;
      return { name: name.getName(), value: (of.flags & ts.SymbolFlags.Value) !== 0 };
    });
    const names = (value) =>
      all
        .filter((n) => n.value === value)
        .map((n) => n.name)
        .sort();
    return [{ room, values: names(true), types: names(false) }];
  });
  const total = offered.reduce((sum, { values, types }) => sum + values.length + types.length, 0);
  const wrap = (names) =>
    names
      .reduce((lines, name) => {
        const last = lines.at(-1);
        return last !== undefined && `${last} ${name}`.length < 150 ? [...lines.slice(0, -1), `${last} ${name}`] : [...lines, name];
      }, [])
      .join('\n');
  return [
    '# What the core offers',
    '',
    `Made by \`npm run api\`; the check compares. ${String(total)} names, room by room: what can be called, then types.`,
    ...offered.flatMap(({ room, values, types }) => [
      '',
      `## ${room}`,
      '',
      ...[values, types].filter((list) => list.length > 0).flatMap((list) => ['```', wrap(list), '```']),
    ]),
    '',
  ].join('\n');
}

/** True when the list that is checked in is the one of the code. */
export const apiAsListed = () => readFileSync(FILE, 'utf8') === api();

if (process.argv[1] === import.meta.filename) writeFileSync(FILE, api());
