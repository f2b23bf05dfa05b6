import { isZero, parseLength, say, type Sentence, type Units, writeSentence } from '@obra/core/quantity';
import * as z from 'zod';

type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly says: Sentence };

/** What a cell of a dialog takes: its text, read by the same grammar as the cells of the page; its sentence where it does not. */
const read = <T>(of: (text: string) => Read<T>, units: Units) =>
  z.string().transform((text, context): T => {
    const got = of(text.trim());
    if (got.ok) return got.value;
    context.addIssue({ code: 'custom', message: `${writeSentence(got.says, units)}.` });
    return z.NEVER;
  });

const number = (text: string): number => Number(text.replace(',', '.'));

/** A length in mm from a text in these units; nothing only where it may be. */
export const aLength = (words: string, units: Units, { zero = false }: { readonly zero?: boolean } = {}) =>
  read<number>((text) => {
    if (text === '') return { ok: false, says: say`${words}: a length is wanted` };
    if (zero && isZero(text)) return { ok: true, value: 0 };
    const length = parseLength(text, units);
    return length.ok ? length : { ok: false, says: say`${words}: ${length.problems[0]?.says ?? say`not understood`}` };
  }, units);

/** A length as it is typed, when it can be read. */
export const lengthText = (words: string) =>
  z.string().check((context) => {
    if (!parseLength(context.value, 'mm').ok)
      context.issues.push({ code: 'custom', input: context.value, message: `${words}: a length such as 0.02 or .001.` });
  });

/** Most of a number that is typed: no count, speed or power of a workshop is more. */
const MOST = 1e6;

/** A number above zero; comma or point. */
export const aNumber = (words: string, wanted: string) =>
  read<number>(
    (text) =>
      text !== '' && number(text) > 0 && number(text) <= MOST ? { ok: true, value: number(text) } : { ok: false, says: say`${words}: ${wanted}` },
    'mm',
  );

/** A whole number or part of it from zero on: divisions of a dial. */
export const aCount = (words: string) =>
  read<number>(
    (text) =>
      text !== '' && number(text) >= 0 && number(text) < 10_000
        ? { ok: true, value: number(text) }
        : { ok: false, says: say`${words}: “${text}” is no number of divisions` },
    'mm',
  );

/** Numbers with spaces or semicolons between, in order; one that is none is named. */
function numbersOf(text: string, words: string, least: 0 | 1): Read<readonly number[]> {
  const parts = text.split(/[\s;]+|,\s+/).filter((t) => t !== '');
  const wrong = parts.find((t) => !(number(t) > 0 && number(t) <= MOST));
  if (wrong !== undefined) return { ok: false, says: say`${words}: “${wrong}” is no number above zero` };
  if (parts.length < least) return { ok: false, says: say`${words}: at least one` };
  return { ok: true, value: parts.map(number).sort((a, b) => a - b) };
}

export const numbers = (words: string) => read((text) => numbersOf(text, words, 0), 'mm');

/** The speeds of a spindle: those that its gears give, or from one to another without steps: “60 - 2000”. */
export const speeds = (words: string) =>
  read<readonly number[] | { from: number; to: number }>((text) => {
    const [, low, high] = /^([\d.,]+)\s*-\s*([\d.,]+)$/.exec(text) ?? [];
    if (low === undefined || high === undefined) return numbersOf(text, words, 1);
    const [from, to] = [number(low), number(high)];
    return from > 0 && to > from && to <= MOST ? { ok: true, value: { from, to } } : { ok: false, says: say`${words}: from a lower to a higher` };
  }, 'mm');
