// Breaks the core on purpose, one small change at a time, and tells which breaks no test noticed.
// npm run mutate -- [--count 20] [--seed 1] [--only sizing/odd.ts] [--rooms sequence,holding] [--list yes] [--quick yes]
// A copy of the tree is changed, never the tree itself. Long: a mutant costs the tests that import its file.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { root } from './root.mjs';

const given = new Map(process.argv.slice(2).flatMap((word, i, all) => (word.startsWith('--') ? [[word.slice(2), all[i + 1] ?? '']] : [])));
const count = Number(given.get('count') ?? 20);
const seed = Number(given.get('seed') ?? 1);
const rooms = (given.get('rooms') ?? 'sequence,settings,holding,operations,sizing,inspection').split(',');

/** What a change of a node is written as; nothing where it is not one that is tried. */
const FLIPS = new Map([
  [ts.SyntaxKind.LessThanToken, '>='],
  [ts.SyntaxKind.LessThanEqualsToken, '>'],
  [ts.SyntaxKind.GreaterThanToken, '<='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '<'],
]);

/** The numbers of the trade stand in one table, which every room reads. */
const PRACTICE = join('core', 'src', 'shop', 'practice.table.ts');

function mutantsOf(file, text) {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.ES2022, true);
  const found = [];
  const add = (node, to, what) =>
    found.push({
      file,
      from: node.getStart(source),
      end: node.getEnd(),
      to,
      what,
      line: source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1,
    });
  const visit = (node) => {
    if (ts.isTypeNode(node)) return;
    if (ts.isBinaryExpression(node) && FLIPS.has(node.operatorToken.kind)) {
      const to = FLIPS.get(node.operatorToken.kind);
      add(node.operatorToken, to, `${node.operatorToken.getText(source)} to ${to}`);
    }
    // a number of the trade: a constant of the file, named in capitals
    if (ts.isVariableDeclaration(node) && /^[A-Z][A-Z0-9_]+$/.test(node.name.getText(source)) && node.initializer) {
      const each = (n) => {
        if (ts.isNumericLiteral(n) && Number(n.text) !== 0) add(n, String(Number(n.text) * 1.5), `${node.name.getText(source)}: ${n.text} times 1.5`);
        else ts.forEachChild(n, each);
      };
      each(node.initializer);
    }
    // a number of the table: of(0.2, 'mm', ...)
    if (file === PRACTICE && ts.isPropertyAssignment(node)) {
      const { initializer: value } = node;
      if (ts.isNumericLiteral(value) && Number(value.text) !== 0)
        add(value, String(Number(value.text) * 1.5), `${node.name.getText(source)}: ${value.text} times 1.5`);
    }
    // an order rule that is not there
    if (
      ts.isReturnStatement(node) &&
      node.expression &&
      ts.isObjectLiteralExpression(node.expression) &&
      /^\{\s*rule:/.test(node.expression.getText(source))
    )
      add(node, 'return undefined;', `dropped ${/rule: '([^']+)'/.exec(node.getText(source))?.[1] ?? 'rule'}`);
    // a check that is not told
    if (ts.isObjectLiteralExpression(node) && ts.isArrayLiteralExpression(node.parent)) {
      const code = /code: '([^']+)'/.exec(node.getText(source))?.[1];
      if (code && /severity:/.test(node.getText(source)) && !/\bcode:[\s\S]*\bcode:/.test(node.getText(source)))
        add(node.parent, '[]', `dropped ${code}`);
    }
    if (ts.isExpressionStatement(node) && /(?:findings|says)\.push\(|^warn\(/.test(node.getText(source)))
      add(node, ';', `dropped ${/code: '([^']+)'/.exec(node.getText(source))?.[1] ?? 'finding'}`);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const files = rooms
  .flatMap((room) => readdirSync(join(root, 'core', 'src', room), { recursive: true }).map((name) => join('core', 'src', room, String(name))))
  .filter((name) => name.endsWith('.ts') && !/\.(test|fixture)\.ts$|index\.ts$|types\.ts$/.test(name))
  .concat(given.has('rooms') ? [] : [PRACTICE])
  .filter((name) => !given.has('only') || name.endsWith(given.get('only')))
  .sort();
const all = files.flatMap((file) => mutantsOf(file, readFileSync(join(root, file), 'utf8')));

/** Numbers that come again with the same seed. @source mulberry32, public domain */
let state = seed;
const random = () => {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};
const drawn = all
  .map((mutant) => ({ mutant, at: random() }))
  .sort((a, b) => a.at - b.at)
  .slice(0, count)
  .map(({ mutant }) => mutant);

if (given.has('list')) {
  for (const { file, line, what } of drawn) console.log(`${file}:${String(line)} ${what}`);
  process.exit(0);
}

const copy = mkdtempSync(join(tmpdir(), 'mutate-'));
process.on('exit', () => rmSync(copy, { recursive: true, force: true }));
const left = new Set(['node_modules', '.git', 'out', 'dist']);
cpSync(root, copy, {
  recursive: true,
  filter: (from) =>
    !relative(root, from)
      .split(/[\\/]/)
      .some((part) => left.has(part)),
});
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));

const jest = (...args) =>
  spawnSync(process.execPath, [join(root, 'node_modules', 'jest', 'bin', 'jest.js'), '--selectProjects', 'core', ...args], {
    cwd: copy,
    encoding: 'utf8',
  });
const related = new Map();
const testsOf = (file) => {
  if (!related.has(file))
    related.set(
      file,
      jest('--listTests', '--findRelatedTests', join(copy, file))
        .stdout.split('\n')
        .filter((line) => line.endsWith('.ts')),
    );
  return related.get(file);
};
/** The kept answers first, then the tests of its own folder, then the others: what nobody notices costs them all. */
function noticed(file) {
  const tests = testsOf(file);
  const room = join(copy, file, '..');
  const near = tests.filter((test) => test.startsWith(room));
  const kept = tests.filter((test) => !near.includes(test) && /planner.routes\.test|advice\.kept/.test(test));
  // in a hurry the far tests are left out: what is then told as survived may yet be noticed by them
  const far = given.has('quick') ? [] : tests.filter((test) => !near.includes(test) && !kept.includes(test));
  for (const group of [kept, near, far])
    if (group.length > 0 && jest('--bail', '--maxWorkers', '2', '--runTestsByPath', ...group).status !== 0) return true;
  return false;
}

console.log(`${String(all.length)} mutants in ${rooms.join(', ')}; ${String(drawn.length)} drawn with seed ${String(seed)}`);
let caught = 0;
for (const { file, from, end, to, what, line } of drawn) {
  const text = readFileSync(join(root, file), 'utf8');
  writeFileSync(join(copy, file), text.slice(0, from) + to + text.slice(end));
  const seen = noticed(file);
  writeFileSync(join(copy, file), text);
  if (seen) caught++;
  console.log(`${seen ? 'noticed ' : 'SURVIVED'} ${file}:${String(line)} ${what}`);
}
console.log(`${String(caught)} of ${String(drawn.length)} noticed`);
