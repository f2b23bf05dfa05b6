import { produce } from 'immer';
import type { Edit } from './finding';

type Node = Record<string, unknown> | unknown[];

/**
 * Applies edits to a copy: the one way that mends, typing and imports change a document.
 * A path that leads nowhere leaves that edit out; the rest are applied.
 * @example applyEdits({ rows: [{ id: 'a', size: '20' }] }, [{ op: 'put', at: 'rows/#a/size', value: '22' }]) // { rows: [{ id: 'a', size: '22' }] }
 */
export function applyEdits<T>(to: T, edits: readonly Edit[]): T {
  return produce(to, (draft) => {
    for (const edit of edits) applyEdit(draft, edit);
  });
}

function applyEdit(root: unknown, edit: Edit): void {
  const path = edit.at.split('/');
  const last = path.pop();
  if (last === undefined) return;
  let node: unknown = root;
  for (const name of path) node = isNode(node) ? member(node, name) : undefined;
  if (!isNode(node)) return;
  if (Array.isArray(node)) changeList(node, last, edit);
  else if (Object.hasOwn(Object.prototype, last) || last === '__proto__') return;
  else if (edit.op === 'put') node[last] = edit.value;
  else Reflect.deleteProperty(node, last);
}

function changeList(list: unknown[], name: string, edit: Edit): void {
  if (!name.startsWith('#')) return;
  const id = name.slice(1);
  const index = list.findIndex((entry) => idOf(entry) === id);
  if (edit.op === 'remove') {
    if (index >= 0) list.splice(index, 1);
    return;
  }
  if (index >= 0 && edit.before === undefined) {
    list[index] = edit.value;
    return;
  }
  if (index >= 0) list.splice(index, 1);
  const place = edit.before === undefined ? -1 : list.findIndex((entry) => idOf(entry) === edit.before);
  list.splice(place < 0 ? list.length : place, 0, edit.value);
}

function isNode(value: unknown): value is Node {
  return typeof value === 'object' && value !== null;
}

function idOf(value: unknown): unknown {
  return isNode(value) && !Array.isArray(value) ? value['id'] : undefined;
}

function member(node: Node, name: string): unknown {
  if (Array.isArray(node)) return name.startsWith('#') ? node.find((entry) => idOf(entry) === name.slice(1)) : undefined;
  return Object.hasOwn(node, name) ? node[name] : undefined;
}
