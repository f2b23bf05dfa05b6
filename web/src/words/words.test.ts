/* What is said in more than one place stands once, here: words that are said twice elsewhere are found. What is said in one place stands beside what it is said of. */
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';

const root = join(__dirname, '..');
/** Keyed by the words of the glossary, which stand in the core. */
const TABLES: ReadonlySet<string> = new Set(['slate/jargon.ts', 'slate/WordPicture.tsx']);
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
  (f) => /\.tsx?$/.test(f) && !/\.(?:test|fixture)\./.test(f) && !f.startsWith('words') && !TABLES.has(f.replaceAll('\\', '/')),
);

/** Words for a person: more than one of them, and nothing of a style, a path or a query. */
const isSaid = (text: string): boolean =>
  text.length >= 10 && /^[?✓✗A-Za-z][^{}=;#$<>[\]@/\\|&]*$/.test(text) && / [a-z]/i.test(text) && !/\d(?:px|fr|%)|var\(|aria-|data-/.test(text);

/** Where a text is no word for a person: a name of classes, a type, an import, the key of a table. */
function isCode(node: ts.Node): boolean {
  for (let up = node.parent; !ts.isSourceFile(up); up = up.parent) {
    if (ts.isJsxAttribute(up)) return ['className', 'd', 'style', 'viewBox', 'transform', 'fontFamily', 'points'].includes(up.name.getText());
    if (ts.isTypeNode(up) || ts.isImportDeclaration(up) || ts.isExportDeclaration(up)) return true;
    if (ts.isCallExpression(up) && /querySelector|matches|closest|matchMedia/.test(up.expression.getText())) return true;
  }
  return ts.isPropertyAssignment(node.parent) && node.parent.name === node;
}

function saidIn(file: string): ReadonlySet<string> {
  const source = ts.createSourceFile(file, readFileSync(join(root, file), 'utf8'), ts.ScriptTarget.ES2022, true, ts.ScriptKind.TSX);
  const said = new Set<string>();
  const look = (node: ts.Node): void => {
    const text = ts.isStringLiteral(node) || ts.isJsxText(node) ? node.text.replace(/\s+/g, ' ').trim() : '';
    if (text !== '' && isSaid(text) && !isCode(node)) said.add(text);
    ts.forEachChild(node, look);
  };
  look(source);
  return said;
}

it('no words stand in two files', () => {
  const where = new Map<string, string[]>();
  for (const file of files) for (const text of saidIn(file)) where.set(text, [...(where.get(text) ?? []), relative('', file)]);
  expect(files.length).toBeGreaterThan(200);
  expect([...where].filter(([, of]) => of.length > 1).map(([text, of]) => `${text}: ${of.join(', ')}`)).toEqual([]);
});
