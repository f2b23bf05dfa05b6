import { type Cell, parseShopItem } from '../document';
import { type Parsed, parseDegrees, parseLength, say, type Sentence, type Units } from '../quantity';
import { type ShopField, type ShopItem, shopTables } from './tables';

type Tree = Readonly<Record<string, unknown>>;

/** What stands in a field, as a person would type it; lengths without their unit where it is `units`. */
export function fieldText(item: ShopItem, field: ShopField, units?: Units): string {
  const value = at(item, field.key);
  if (value === undefined || value === null) return '';
  switch (field.is) {
    case 'length':
    case 'degrees':
      return isCell(value) ? cellText(value, field, units) : '';
    case 'lengths':
      return Array.isArray(value) ? value.map((c: Cell) => cellText(c, field, units)).join(' ') : '';
    case 'numbers':
    case 'wholes':
      return Array.isArray(value) ? value.map(String).join(' ') : '';
    case 'speeds':
      return Array.isArray(value)
        ? value.map(String).join(' ')
        : `${String((value as { readonly from: number }).from)} - ${String((value as { readonly to: number }).to)}`;
    case 'window':
      return Array.isArray(value) ? value.map(String).join(' - ') : '';
    case 'text':
      // the size of a tool is a cell that also names threads and number drills
      return isCell(value) ? cellText(value, field, units) : plain(value);
    default:
      return plain(value);
  }
}

const plain = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : '');

const isCell = (value: unknown): value is Cell => typeof value === 'object' && value !== null && 'text' in value;

function cellText(cell: Cell, field: ShopField, units: Units | undefined): string {
  const own = /mm|in|"|[a-z]/i.test(cell.text) || /^[mM#]|-/.test(cell.text);
  return field.is === 'degrees' || own || cell.units === units ? cell.text : `${cell.text} ${cell.units}`;
}

/**
 * The item with a field as typed; a problem says what it should be, and leaves the item alone. A length that cannot be read is refused here, though
 * one that came from a file stays as it is.
 */
export function withField<T extends ShopItem>(item: T, field: ShopField, text: string, units: Units): Parsed<T> {
  const typed = text.trim();
  const fail = (says: Sentence): Parsed<T> => ({ ok: false, problems: [{ at: field.key, says: say`${field.words}: ${says}` }] });
  if (typed === '') {
    if (field.is === 'numbers' || field.is === 'lengths' || field.is === 'wholes')
      return field.optional === true ? done(item, field, at(item, field.key) === undefined ? undefined : []) : fail(say`at least one`);
    return field.optional === true ? done(item, field, undefined) : fail(say`cannot be left empty`);
  }
  const read = valueOf(field, typed, units, at(item, field.key));
  if (!read.ok) return fail(read.problems[0]?.says ?? say`not understood`);
  const whole = done(item, field, read.value);
  // whatever the sentences above do not name: nothing is let in that could not be read again
  const list = shopTables.find((t) => t.fields.includes(field))?.list;
  const kept = whole.ok && list ? parseShopItem(list, whole.value) : undefined;
  return kept?.ok === false ? fail(say`that cannot be kept (${kept.problems[0]?.at ?? ''})`) : whole;
}

/** Most characters of a text: a name, a note, what an insert is called. */
const room = (field: ShopField): number => (field.key === 'note' ? 4000 : field.key === 'insert' ? 20 : field.key === 'size' ? 200 : 120);
/** Most of a number in a list: no lathe turns or feeds so fast, no chip is so deep. */
const MOST_OF_A_NUMBER = 1e6;
const MOST_OF_A_CHIP = 1000;

function valueOf(field: ShopField, typed: string, units: Units, before: unknown): Parsed<unknown> {
  const fail = (says: Sentence): Parsed<unknown> => ({ ok: false, problems: [{ at: field.key, says }] });
  const ok = (value: unknown): Parsed<unknown> => ({ ok: true, value });
  switch (field.is) {
    case 'text':
      if (typed.length > room(field)) return fail(say`${typed.length} characters; there is room for ${room(field)}`);
      return ok(isCell(before) && before.text === typed ? before : isCell(before) || field.key === 'size' ? cellOf(typed, units) : typed);
    case 'length':
      if (isCell(before) && before.text === typed) return ok(before);
      return field.signed === true ? signedLength(typed, units) : lengthOf(typed, units, field.zero === true);
    case 'day':
      return /^\d{4}-\d{2}-\d{2}$/.test(typed) && !Number.isNaN(Date.parse(typed)) ? ok(typed) : fail(say`a day as year, month and day: 2026-11-29`);
    case 'degrees': {
      const read = parseDegrees(typed);
      return read.ok && read.value > 0 && read.value < 180 ? ok({ text: typed, units: 'mm' }) : fail(say`degrees, such as 60 or 29.5`);
    }
    case 'number':
    case 'whole': {
      const value = numberOf(typed);
      if (!(value > 0)) return fail(say`more than zero, in ${field.unit ?? 'numbers'}`);
      if (value > 1e9) return fail(say`at most ${1e9}, in ${field.unit ?? 'numbers'}`);
      return field.is === 'whole' && !Number.isInteger(value) ? fail(say`a whole number`) : ok(value);
    }
    case 'numbers':
    case 'wholes': {
      const list = listOf(typed);
      if (list.some((v) => !(v > 0) || (field.is === 'wholes' && !Number.isInteger(v))))
        return fail(say`numbers more than zero with spaces between, in ${field.unit ?? 'teeth'}`);
      if (list.some((v) => v > MOST_OF_A_NUMBER)) return fail(say`each at most ${MOST_OF_A_NUMBER}, in ${field.unit ?? 'teeth'}`);
      return ok([...new Set(list)].toSorted((a, b) => a - b));
    }
    case 'speeds': {
      const range = /^\s*([\d.,]+)\s*(?:-|–|to)\s*([\d.,]+)\s*$/.exec(typed);
      if (range) {
        const [from, to] = [numberOf(range[1] ?? ''), numberOf(range[2] ?? '')];
        if (to > MOST_OF_A_NUMBER) return fail(say`at most ${MOST_OF_A_NUMBER} rev/min`);
        return from > 0 && to > from ? ok({ from, to }) : fail(say`a stepless drive goes from a slower to a faster speed: 20 - 2000`);
      }
      const list = listOf(typed);
      if (list.some((v) => v > MOST_OF_A_NUMBER)) return fail(say`each at most ${MOST_OF_A_NUMBER} rev/min`);
      return list.length > 0 && list.every((v) => v > 0)
        ? ok([...new Set(list)].toSorted((a, b) => a - b))
        : fail(say`speeds with spaces between, 45 70 100, or a range, 20 - 2000`);
    }
    case 'lengths': {
      const cells = typed.split(/\s+/).map((t) => lengthOf(t, units, false));
      return cells.find((c) => !c.ok) ?? ok(cells.flatMap((c) => (c.ok ? [c.value] : [])));
    }
    case 'window': {
      const range = /^\s*([\d.,]+)\s*(?:-|–|to)\s*([\d.,]+)\s*$/.exec(typed);
      const [from, to] = [numberOf(range?.[1] ?? ''), numberOf(range?.[2] ?? '')];
      if (to > MOST_OF_A_CHIP) return fail(say`at most ${MOST_OF_A_CHIP} mm`);
      return from >= 0 && to > from ? ok([from, to]) : fail(say`from the least to the most, 0.15 - 0.3`);
    }
    case 'choice': {
      const found = field.choices?.find((c) => c.value === typed || c.words === typed.toLowerCase());
      if (!found) return fail(say`one of ${(field.choices ?? []).map((c) => c.words).join(', ')}`);
      return ok(found.value === 'true' ? true : found.value === 'false' ? false : found.value);
    }
  }
}

const numberOf = (text: string): number => (/^[\d.,\s]+$/.test(text) ? Number(text.trim().replace(',', '.')) : NaN);
const listOf = (text: string): readonly number[] =>
  text
    .split(/[\s;]+|,\s+/)
    .filter((t) => t !== '')
    .map(numberOf);

/** A length as a cell, its own unit taken off the text. */
function lengthOf(typed: string, units: Units, zero: boolean): Parsed<Cell> {
  if (typed.length > 60) return { ok: false, problems: [{ at: '', says: say`${typed.length} characters are no length` }] };
  const cell = cellOf(typed, units);
  if (zero && /^0*[.,]?0*$/.test(cell.text)) return { ok: true, value: { text: '0', units: cell.units } };
  const read = parseLength(cell.text, cell.units);
  return read.ok ? { ok: true, value: cell } : read;
}

/** A length with its sign, which stays in its text. */
function signedLength(typed: string, units: Units): Parsed<Cell> {
  const sign = /^[-−+]/.exec(typed)?.[0] ?? '';
  const bare = lengthOf(typed.slice(sign.length).trim(), units, true);
  return bare.ok ? { ok: true, value: { ...bare.value, text: `${sign === '+' ? '' : sign.replace('−', '-')}${bare.value.text}` } } : bare;
}

function cellOf(typed: string, units: Units): Cell {
  const unit = /\s*(mm|in|inch|")\s*$/i.exec(typed);
  const own: Units = unit ? (/mm/i.test(unit[1] ?? '') ? 'mm' : 'in') : units;
  return { text: typed.slice(0, unit ? typed.length - unit[0].length : undefined), units: own };
}

function at(item: ShopItem, key: string): unknown {
  return key.split('.').reduce<unknown>((value, k) => (typeof value === 'object' && value !== null ? (value as Tree)[k] : undefined), item);
}

/** Puts a value at its path and says that this part is no longer assumed; a part that is incomplete is filled or dropped whole. */
function done<T extends ShopItem>(item: T, field: ShopField, value: unknown): Parsed<T> {
  const path = field.key.split('.');
  const [top = ''] = path;
  const changed = settle(put(item, path, value), top, field, value);
  const assumed = ((changed['assumed'] as readonly string[] | undefined) ?? []).filter((k) => k !== top);
  const rest = without(changed, 'assumed');
  return { ok: true, value: (assumed.length > 0 ? { ...rest, assumed } : rest) as unknown as T };
}

function put(tree: Tree, [key = '', ...rest]: readonly string[], value: unknown): Tree {
  const next = rest.length === 0 ? value : put((tree[key] as Tree | undefined) ?? {}, rest, value);
  if (next !== undefined) return { ...tree, [key]: next };
  return without(tree, key);
}

const without = (tree: Tree, key: string): Tree => Object.fromEntries(Object.entries(tree).filter(([k]) => k !== key));

const zero: Cell = { text: '0', units: 'mm' };

/** Ranges, jaws, dials and windows are whole or not at all: what is not typed yet is what it usually is. */
function settle(tree: Tree, top: string, field: ShopField, value: unknown): Tree {
  const part = tree[top];
  const gone = () => without(tree, top);
  if (typeof part !== 'object' || part === null || Array.isArray(part) || isCell(part) || !field.key.includes('.')) return tree;
  const got = part as Tree;
  if (top === 'outside' || top === 'inside') {
    if (got['to'] === undefined) return value === undefined ? gone() : { ...tree, [top]: { from: got['from'] ?? zero, to: got['from'] ?? zero } };
    return { ...tree, [top]: { from: got['from'] ?? zero, to: got['to'] } };
  }
  if (top === 'jaw') {
    if (value === undefined) return gone();
    return {
      ...tree,
      jaw: {
        count: got['count'] ?? 3,
        length: got['length'] ?? { text: '30', units: 'mm' },
        reach: got['reach'] ?? got['length'] ?? { text: '30', units: 'mm' },
      },
    };
  }
  if (top === 'chips') {
    if (value === undefined) return gone();
    return { ...tree, chips: { depth: got['depth'] ?? [0, 10], feed: got['feed'] ?? [0, 1] } };
  }
  if (top === 'dials') {
    const [, axis = ''] = field.key.split('.');
    const dial = got[axis] as Tree | undefined;
    if (dial?.['division'] === undefined) return { ...tree, dials: without(got, axis) };
    const whole = { reads: axis === 'cross' ? 'diameter' : 'length', clockwise: 'in', backlash: zero, travel: { text: '100', units: 'mm' }, ...dial };
    return { ...tree, dials: { ...got, [axis]: whole } };
  }
  return tree;
}

/** The item as it stands, none of it assumed any more. */
export const confirmed = <T extends ShopItem>(item: T): T => without(item, 'assumed') as unknown as T;
