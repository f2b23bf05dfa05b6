import { diameter, length, readLength, say, type Sentence, tidy, type Units } from '../quantity';
import { type DrawnThread, readInternalThread } from '../standards';
import { parseSize } from './parseSize';
import type { HoleHead, Limits } from './types';

/* Holes beside the axis as a shop writes them: '6', '6 H7 reamed', 'M8', 'M8 x 14', '8-32 x 3/8', '6.6 x 20 cbore 11 x 6.5', '5.5 csk 10.4'. */

export interface SideHole {
  /** the hole itself; under a thread its basic minor diameter */
  readonly limits: Limits;
  readonly thread?: DrawnThread;
  readonly reamed?: true;
  /** full depth of the hole, or of full thread, mm; goes through where nothing is said */
  readonly deep?: number;
  readonly head?: HoleHead;
}

export interface NoHole {
  readonly says: Sentence;
  readonly nearest: readonly string[];
}

const head = /\s+(c['’]?\s?bore|counter\s?bored?|spotface|csk|c['’]?sink|counter\s?s[iu]nk)\s+(.+)$/i;
const goes = /\s+(?:through|thro['’]?|thru)\b/i;

/**
 * Reads a hole beside the axis; a size that is not understood says so.
 * M8 x 14 is a thread with 14 mm of it full; M8x1 one of a finer pitch.
 */
export function readSideHole(typed: string, units: Units): SideHole | NoHole {
  const no = (says: Sentence, nearest: readonly string[] = []): NoHole => ({ says, nearest });
  if (typed.trim() === '') return no(say`how large is it? 6, M8, M8 x 14, 6.6 cbore 11 x 6`, []);
  const [, kind, opened] = head.exec(typed) ?? [];
  const body = typed.replace(head, '').replace(goes, '').trim();
  const reamed = /\breamed\b/i.test(body);
  const plain = body.replace(/\s*\b(?:tapped|reamed|deep)\b/gi, '').trim();
  const sized = sizeOf(plain, units);
  if ('says' in sized) return sized;
  const { limits, thread, deepText } = sized;
  const deep = deepText === undefined ? undefined : readLength(deepText, units)?.value;
  if (deepText !== undefined && !(deep !== undefined && deep > 0)) return no(say`its depth, ${deepText}, is not understood`);
  const opens = kind === undefined || opened === undefined ? undefined : headOf(kind, opened, limits.nominal, units);
  if (opens && 'says' in opens) return opens;
  if (opens && deep !== undefined && opens.depth >= deep)
    return no(say`its mouth is opened ${length(opens.depth)} deep, deeper than the hole of ${length(deep)}`);
  return {
    limits,
    ...(thread && { thread }),
    ...(reamed && !thread && { reamed: true as const }),
    ...(deep !== undefined && { deep }),
    ...(opens && { head: opens }),
  };
}

/** The size, and what is typed of its depth: the whole text first, since M8x1 is a size and M8 x 14 is not. */
function sizeOf(text: string, units: Units): (Sized & { readonly deepText?: string }) | NoHole {
  const [, front, deepText] = /^(.*\S)\s*[xX×]\s*(\S.*)$/.exec(text) ?? [];
  const whole = threadOf(text);
  if (whole && 'limits' in whole) return whole;
  if (front !== undefined && deepText !== undefined) {
    const read = threadOf(front) ?? plainOf(front, units);
    if ('limits' in read) return { ...read, deepText };
    return read;
  }
  return whole ?? plainOf(text, units);
}

interface Sized {
  readonly limits: Limits;
  readonly thread?: DrawnThread;
}

/** A thread in a hole, by its minor diameter; undefined where the text is no thread at all. */
function threadOf(text: string): Sized | NoHole | undefined {
  const read = readInternalThread(text);
  if (read?.ok !== true) return read && { says: read.says, nearest: read.nearest };
  const { crest, minor } = read.thread;
  return { limits: { nominal: tidy(crest), max: minor?.max ?? tidy(crest), min: minor?.min ?? tidy(crest), from: 'class' }, thread: read.thread };
}

function plainOf(text: string, units: Units): Sized | NoHole {
  const read = parseSize(text, units);
  if (read.kind === 'diameter') return { limits: read.limits };
  return read.kind === 'unknown'
    ? { says: read.says, nearest: read.nearest }
    : { says: say`“${text}” is no size of a hole; write 6, 6 H7, M8 or 8-32`, nearest: [] };
}

function headOf(kind: string, text: string, hole: number, units: Units): HoleHead | NoHole {
  const form = /sk|sink|sunk/i.test(kind) ? 'countersink' : 'counterbore';
  const [first = '', second] = text.split(/\s*(?:[xX×@]|\bat\b)\s*/);
  const wide = readLength(first, units)?.value;
  if (wide === undefined || wide <= hole) return { says: say`a ${form} of ${first} does not open a hole of ${diameter(hole)}`, nearest: [] };
  if (form === 'countersink') {
    const angle = second === undefined ? 90 : Number(second.replace(/[°\s]|deg.*$/gi, '').replace(',', '.'));
    if (!(angle >= 30 && angle <= 150)) return { says: say`a countersink of ${second ?? ''} degrees is none; 30 to 150`, nearest: [] };
    return { form, diameter: wide, angle, depth: tidy((wide - hole) / 2 / Math.tan((angle * Math.PI) / 360)) };
  }
  const depth = second === undefined ? undefined : readLength(second, units)?.value;
  if (depth === undefined || !(depth > 0)) return { says: say`a counterbore wants its diameter and depth: ${first} x 6`, nearest: [] };
  return { form, diameter: wide, depth };
}

/** A hole in words: what it is, how deep, the core of its thread, its mouth. */
export function sideHoleSaid({ limits, thread, reamed, deep, head: mouth }: SideHole): Sentence {
  const size: Sentence = thread ? say`${thread.designation}` : reamed ? say`${diameter(limits.nominal)} reamed` : say`${diameter(limits.nominal)}`;
  const core: Sentence = thread ? say`, core ${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}` : [];
  const depth: Sentence = deep === undefined ? [] : thread ? say`, ${length(deep)} of full thread` : say`, ${length(deep)} deep`;
  const opens: Sentence =
    mouth === undefined
      ? []
      : mouth.form === 'counterbore'
        ? say`, counterbored ${diameter(mouth.diameter)} ${length(mouth.depth)} deep`
        : say`, countersunk to ${diameter(mouth.diameter)}, ${length(mouth.depth)} deep`;
  return [...size, ...depth, ...core, ...opens];
}
