import { isZero, parseLength, readNumber, say, type Sentence, type Units } from '../quantity';
import { materials } from '../standards';
import type { Answer, Calculator, Field, FromShop, Group, Texts } from './types';

type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly says: Sentence };
const no = (says: Sentence) => ({ ok: false as const, says });

/** A length of more than zero, mm. */
export const aLength = (label: string, start: Field['start']): Field<number> => ({ label, kind: 'length', start, read: readOne });

function readOne(text: string, units: Units): Read<number> {
  const read = parseLength(text, units);
  return read.ok ? read : no(read.problems[0]?.says ?? []);
}

/** The same, where nothing may stand. */
export const aLengthOrNone = (label: string, start: Field['start'] = ''): Field<number | undefined> => ({
  label,
  kind: 'length',
  start,
  read: (text, units) => (text.trim() === '' ? { ok: true, value: undefined } : readOne(text, units)),
});

/** A length that may be nothing: 0 where nothing is typed. */
export const aLengthOrZero = (label: string, start = '0'): Field<number> => ({
  label,
  kind: 'length',
  start,
  read: (text, units) => (text.trim() === '' || isZero(text) ? { ok: true, value: 0 } : readOne(text, units)),
});

/** What an indicator shows: a length, nothing, or less than nothing. */
export const aReading = (label: string, start: string): Field<number> => ({
  label,
  kind: 'length',
  start,
  read: (text, units) => {
    const t = text.trim();
    const size = t.replace(/^[-−+]\s*/, '');
    if (isZero(size)) return { ok: true, value: 0 };
    const read = readOne(size, units);
    return read.ok && /^[-−]/.test(t) ? { ok: true, value: -read.value } : read;
  },
});

/** Lengths in a row, parted by semicolons; bare ones are in the units of the page. */
export const lengths = (label: string, start: string): Field<readonly number[]> => ({
  label,
  kind: 'lengthList',
  start,
  read: (text, units) => {
    const parts = text.split(';').filter((p) => p.trim() !== '');
    if (parts.length === 0) return no(say`${label}: at least one length`);
    if (parts.length > 50) return no(say`${label}: more than 50`);
    const values: number[] = [];
    for (const part of parts) {
      const read = readOne(part, units);
      if (!read.ok) return read;
      values.push(read.value);
    }
    return { ok: true, value: values };
  },
});

interface Bounds {
  readonly from: number;
  readonly to: number;
  readonly whole?: boolean;
}

function readPlain(label: string, text: string, { from, to, whole = false }: Bounds): Read<number> {
  const t = text.trim();
  const negative = /^[-−]/.test(t);
  const read = readNumber(t.replace(/^[-−+]/, ''));
  if (read?.rest !== '') return no(t === '' ? say`${label}: a number is missing` : say`“${t}” is not a number`);
  const value = negative ? -read.value : read.value;
  if (whole && !Number.isInteger(value)) return no(say`${label}: a whole number is wanted, not ${t}`);
  return value < from || value > to ? no(say`${label}: ${t} is outside ${from} to ${to}`) : { ok: true, value };
}

/** A number without a unit of length. */
export const aNumber = (label: string, start: Field['start'], bounds: Bounds, unit?: string): Field<number> => ({
  label,
  kind: 'number',
  start,
  ...(unit !== undefined && { unit }),
  read: (text) => readPlain(label, text, bounds),
});

/** A feed a revolution, mm; typed in inches on an inch page. */
export const aFeed = (label: string, start: string, { from, to }: Bounds): Field<number> => ({
  label,
  kind: 'length',
  unit: 'a revolution',
  start,
  read: (text, units) => {
    const read = readOne(text, units);
    if (!read.ok) return read;
    return read.value < from || read.value > to
      ? no(
          say`${label}: ${{ is: 'feed', value: read.value, step: 0.001 }} is outside ${{ is: 'feed', value: from, step: 0.001 }} to ${{ is: 'feed', value: to }}`,
        )
      : read;
  },
});

/** A number or nothing. */
export const aNumberOrNone = (label: string, bounds: Bounds, unit?: string): Field<number | undefined> => ({
  ...aNumber(label, '', bounds, unit),
  read: (text) => (text.trim() === '' ? { ok: true, value: undefined } : readPlain(label, text, bounds)),
});

/** Numbers in a row, parted by spaces, commas or semicolons. */
export const numbers = (label: string, start: Field['start'], bounds: Bounds, unit?: string): Field<readonly number[]> => ({
  label,
  kind: 'numberList',
  start,
  ...(unit !== undefined && { unit }),
  read: (text) => {
    const parts = text.split(/[\s;]+|,\s+/).filter((p) => p !== '');
    if (parts.length === 0) return no(say`${label}: at least one number`);
    if (parts.length > 200) return no(say`${label}: more than 200 numbers`);
    const values: number[] = [];
    for (const part of parts) {
      const read = readPlain(label, part, bounds);
      if (!read.ok) return read;
      values.push(read.value);
    }
    return { ok: true, value: values };
  },
});

/** A size with a tolerance, or a fit: a bare size is in the units of the page. The value is its text with the unit said: ' in' or nothing for mm. */
export const aSize = (label: string, start: string): Field<string> => ({
  ...someWords(label, start),
  kind: 'length',
  read: (text, units) => {
    const read = someWords(label, start).read(text, units);
    if (!read.ok) return read;
    const bare = read.value.replace(/\s*mm$/i, '');
    const said = bare !== read.value || /(?:\bin|inch|["”]|RC|LC|LT|LN|FN)\s*\d*$/i.test(bare);
    return { ok: true, value: units === 'in' && !said ? `${bare} in` : bare };
  },
});

/** A designation or any words; what they mean is for the entry to say. */
export const someWords = (label: string, start: string): Field<string> => ({
  label,
  kind: 'words',
  start,
  read: (text) =>
    text.trim() === ''
      ? no(say`${label}: nothing is typed`)
      : text.length > 60
        ? no(say`${label}: more than 60 characters`)
        : { ok: true, value: text.trim() },
});

/** One of a few; the first is the start. */
export function oneOf<const V extends string>(label: string, choices: readonly (readonly [value: V, words: string])[]): Field<V> {
  return {
    label,
    kind: 'choice',
    start: choices[0]?.[0] ?? '',
    choices,
    read: (text) => {
      const found = choices.find(([value]) => value === text);
      return found ? { ok: true, value: found[0] } : no(say`${label}: “${text}” is none of ${choices.map(([, words]) => words).join(', ')}`);
    },
  };
}

/** A material of the table. */
export const aMaterial = (label = 'Material', start = 'mild-steel'): Field<string> => ({
  ...oneOf(
    label,
    materials.map((m) => [m.id, m.name] as const),
  ),
  start,
});

export const startOf = (field: Field, shop: FromShop): string => (typeof field.start === 'string' ? field.start : field.start(shop));

type Fields = Readonly<Record<string, Field>>;
type Values<F extends Fields> = { readonly [K in keyof F]: F[K] extends Field<infer T> ? T : never };

/** Builds an entry whose answer gets its fields as values; one that does not read is said and named. */
export function calculator<F extends Fields>(of: {
  readonly id: string;
  readonly group: Group;
  readonly title: string;
  readonly words: string;
  readonly fields: F;
  readonly answer: (values: Values<F>) => Answer;
}): Calculator {
  return { ...of, answer: (texts, units, shop = {}) => answerWith(of.fields, of.answer, texts, units, shop) };
}

function answerWith<F extends Fields>(fields: F, answer: (values: Values<F>) => Answer, texts: Texts, units: Units, shop: FromShop): Answer {
  const values: Record<string, unknown> = {};
  for (const [name, field] of Object.entries(fields)) {
    const typed = texts[name];
    // what an entry starts with is in millimetres, whatever the page shows
    const read = typed === undefined ? field.read(startOf(field, shop), 'mm') : field.read(typed, units);
    if (!read.ok) return { ok: false, at: name, says: read.says };
    values[name] = read.value;
  }
  return sound(() => answer(values as Values<F>));
}

/** An answer, or in words that there is none: whatever a formula throws at, or makes of values that its fields let through. */
function sound(work: () => Answer): Answer {
  try {
    const answer = work();
    return !answer.ok || (finite(answer.rows) && finite(answer.sketch) && finite(answer.table))
      ? answer
      : no(say`these values lead to no number: one of them is far out`);
  } catch (cause) {
    return no(cause instanceof RangeError ? say`these values lead to no number: ${cause.message}` : say`these values lead to no number`);
  }
}

/** No number in it that cannot be written or drawn. */
function finite(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  if (typeof value !== 'object' || value === null) return true;
  return Object.values(value).every(finite);
}
