import { blankDrawing, type Detail, type Drawing, type Section } from '../document';
import { length, readLength, say, type Sentence, type Units } from '../quantity';
import { metalCalled } from './metalsCalled.table';
import { bareSize, parseLengthCell, parseSize } from './parseSize';
import { parseEdge } from './parseEdge';

/* A part as one says it across the counter: rows from the free end A, holes from either end, edges, what is cut in a row, the metal, how many. */

/** A piece of the line between two semicolons, and what was made of it. */
export interface LineWord {
  /** where it stands in the text */
  readonly from: number;
  readonly to: number;
  readonly says: Sentence;
  readonly wrong: boolean;
}

export interface TypedLine {
  readonly words: readonly LineWord[];
  /** of what was understood; whole where nothing is wrong */
  readonly drawing: Drawing;
  readonly pieces?: number;
  /** of what, where it was said */
  readonly material?: string;
}

interface Made {
  readonly says: Sentence;
  readonly wrong?: boolean;
}

interface Draft {
  readonly outside: Section[];
  readonly boreRight: Section[];
  readonly boreLeft: Section[];
  readonly details: Detail[];
  material: string | undefined;
  pieces: number | undefined;
}

const wrong = (says: Sentence): Made => ({ says, wrong: true });

/**
 * Reads a whole part typed on one line, rows split at ';'. Nothing typed is lost: what is not understood is a word that says so.
 * @param units what a bare number means
 * @example typedLine('M12 x 18; 25 x 38 c0.5; bore 8 x 20; brass; 4 off', 'mm').pieces // 4
 */
export function typedLine(text: string, units: Units): TypedLine {
  const draft: Draft = { outside: [], boreRight: [], boreLeft: [], details: [], material: undefined, pieces: undefined };
  const words: LineWord[] = [];
  let from = 0;
  const segments = text.split(';');
  segments.forEach((raw, i) => {
    const to = from + raw.length;
    const trimmed = raw.trim();
    if (trimmed !== '' || i < segments.length - 1 || segments.length === 1) {
      const lead = raw.length - raw.trimStart().length;
      const made = trimmed === '' ? wrong(say`row ${i + 1} is empty; write size x length`) : segment(trimmed, units, draft);
      words.push({ from: from + lead, to: trimmed === '' ? to : from + lead + trimmed.length, says: made.says, wrong: made.wrong === true });
    }
    from = to + 1;
  });
  return {
    words,
    drawing: {
      ...blankDrawing(),
      outside: draft.outside,
      boreRight: draft.boreRight,
      boreLeft: draft.boreLeft,
      details: draft.details,
      ...(draft.material !== undefined && { material: draft.material }),
    },
    ...(draft.pieces !== undefined && { pieces: draft.pieces }),
    ...(draft.material !== undefined && { material: draft.material }),
  };
}

function segment(text: string, units: Units, draft: Draft): Made {
  const many = /^(?:(\d+)\s*(?:off|pcs|pieces?|no\.?s?)|(?:make|qty:?)\s*(\d+))$/i.exec(text);
  if (many) return pieces(Number(many[1] ?? many[2]), draft);
  const said = text.replace(/^(?:in|of|from|material:?)\s+/i, '').toLowerCase();
  const metal = metalCalled(said);
  if (metal !== undefined) {
    draft.material = metal;
    return { says: say`of ${said}` };
  }
  const hole = /^(?:(?:from\s+)?(?:end\s+)?([AB])\s*[:,]?\s+)?(bored?|holes?|drill(?:ed)?|ream(?:ed)?|tap(?:ped)?)\s+(.+)$/i.exec(text);
  if (hole) return bore(hole[2]?.toLowerCase() ?? '', hole[3] ?? '', hole[1]?.toUpperCase() === 'B' ? 'left' : 'right', units, draft);
  return row(text, units, draft);
}

function pieces(count: number, draft: Draft): Made {
  if (!(count >= 1 && count <= 50)) return wrong(say`${count} pieces? 1 to 50 are planned together`);
  draft.pieces = count;
  return { says: say`${count} ${count === 1 ? 'piece' : 'pieces'}` };
}

/** 'bore 18 H8 x 22', 'hole 7 through', 'tap M8x1 x 14', 'ream 12 H7 through'. */
function bore(verb: string, text: string, end: 'right' | 'left', units: Units, draft: Draft): Made {
  const through = /\s*(?:[xX×*]\s*)?\b(?:through|thro['’]?|thru)\s*$/i;
  const goes = through.test(text);
  const split = goes ? [text.replace(through, ''), 'through'] : splitAt(text);
  const [size, deep] = split ?? [text, ''];
  if (deep === '') return wrong(say`how deep? write ${text} x 20, or ${text} through`);
  const typed = verb.startsWith('ream') ? `${size} reamed` : size;
  const read = parseSize(typed, units, 'inside');
  if (read.kind === 'unknown') return wrong(read.says);
  if (verb.startsWith('tap') && read.kind !== 'thread') return wrong(say`“${size}” is no thread; write M8, M8x1, 1/4-20 or G1/4`);
  if (!goes) {
    const depth = parseLengthCell(deep, units);
    if (!depth.ok) return wrong(depth.problems[0]?.says ?? say`“${deep}” is no depth`);
  }
  const list = end === 'right' ? draft.boreRight : draft.boreLeft;
  list.push({ id: `${end === 'right' ? 'b' : 'l'}${String(list.length + 1)}`, size: { text: typed, units }, length: { text: deep, units } });
  const what: Sentence = read.kind === 'thread' ? say`thread ${read.designation}` : say`hole ${bareSize(typed)}`;
  return { says: say`from end ${end === 'right' ? 'A' : 'B'}: ${what}, ${goes ? 'through' : say`${deep} deep`}` };
}

/** The last x, * or × between two numbers: spaces round it where the size is a thread, which has one of its own. */
function splitAt(text: string): readonly [string, string] | undefined {
  const spaced = /^(.*\S)\s+[xX×*]\s+(\S.*)$/.exec(text);
  if (spaced) return [spaced[1] ?? '', spaced[2] ?? ''];
  const close = /^((?:Ø|⌀|d(?:ia\.?)?)?\s*[\d.,/"” -]*\d["”]?(?:\s*[a-hj-np-z]{1,2}\d{1,2})?)\s*[xX×*]\s*(\d\S*)$/i.exec(text);
  return close ? [close[1] ?? '', close[2] ?? ''] : undefined;
}

/** 'M12 x 18', '32*60', 'd32 x 40 c0.5', '20 x 30 R3 knurl diamond 1', '25 x 10 hex 17', '20 x 40 groove 3 x 16 at 12'. */
function row(text: string, units: Units, draft: Draft): Made {
  const cuts = /\s(?:knurl|hex(?:agon)?|groove|flats?|cross(?:\s*hole)?)\s.*$/i.exec(text);
  const before = cuts ? text.slice(0, cuts.index) : text;
  // 'hex 17 x 10' is a size; after a size and a length it is cut in it
  const own = cuts && splitAt(withEdges(before).rest) ? cuts[0].trim() : '';
  const { rest, edges } = withEdges(own === '' ? text : before);
  const split = splitAt(rest);
  if (!split) return wrong(/\S[xX×]\S/.test(rest) ? asksAbout(rest) : say`“${rest}” has no length yet; write ${rest} x length`);
  const size = split[0].replace(/^d(?:ia\.?)?\s*(?=[\d.])/i, '').trim();
  const read = parseSize(size, units);
  if (read.kind === 'unknown') return wrong(read.says);
  const long = parseLengthCell(split[1], units);
  if (!long.ok) return wrong(long.problems[0]?.says ?? say`the length is missing`);
  for (const edge of edges) {
    const made = parseEdge(edge, units);
    if (!made.ok) return wrong(made.problems[0]?.says ?? say`“${edge}” is no edge`);
  }
  const id = `s${String(draft.outside.length + 1)}`;
  const [near, far] = edges;
  draft.outside.push({
    id,
    size: { text: size, units },
    length: { text: split[1], units },
    ...(near !== undefined && { near: { text: near, units } }),
    ...(far !== undefined && { far: { text: far, units } }),
  });
  const detail = own === '' ? undefined : cutIn(own, id, units, draft);
  if (detail?.wrong) return detail;
  const what: Sentence = read.kind === 'thread' ? say`thread ${read.designation}` : read.kind === 'diameter' ? say`Ø${bareSize(size)}` : say`${size}`;
  return {
    says: say`${what}, ${length(long.value.nominal)} long${edges.length > 0 ? say`, edge ${edges.join(' and ')}` : []}${detail ? say`, ${detail.says}` : []}`,
  };
}

const edgeAtEnd = /^(.*\S)\s+(?:c\s?(\d+\/\d+|\d*[.,]?\d+)|(R\s?(?:\d+\/\d+|\d*[.,]?\d+))|((?:\d+\/\d+|\d*[.,]?\d+)\s?x\s?(?:45|30|60)°?))$/i;

/** Edges at the end of a row: 'c0.5', 'c0.5 c1', 'R3', '1x45'. The first is the one nearer to A. */
function withEdges(text: string): { readonly rest: string; readonly edges: readonly string[] } {
  const edges: string[] = [];
  let rest = text;
  for (;;) {
    const m = edgeAtEnd.exec(rest);
    if (!m || edges.length === 2 || (m[4] !== undefined && !splitAt(m[1] ?? ''))) return { rest, edges };
    edges.unshift(m[2] !== undefined ? `${m[2]}x45` : (m[3] ?? m[4] ?? ''));
    rest = m[1] ?? '';
  }
}

function cutIn(text: string, on: string, units: Units, draft: Draft): Made {
  const id = `d${String(draft.details.length + 1)}`;
  const [, word = '', rest = ''] = /^(\S+)\s+(.*)$/.exec(text.replace(/^cross\s+hole/i, 'cross')) ?? [];
  const cell = (t: string) => ({ text: t.trim(), units });
  const [, size = rest, at = '0'] = /^(.*\S)\s+at\s+(.+)$/i.exec(rest) ?? [];
  const add = (detail: Omit<Detail, 'id' | 'on'>, says: Sentence): Made => {
    draft.details.push({ id, on, ...detail });
    return { says };
  };
  if (/^knurl/i.test(word)) {
    const named = /^(?:straight|diamond)\s/i.test(size) ? size : `diamond ${size}`;
    return add({ kind: 'knurl', at: cell('0'), size: cell(named) }, say`knurl ${named}`);
  }
  if (/^hex/i.test(word)) return add({ kind: 'hexagon', at: cell('0'), size: cell(size) }, say`hexagon ${size} across flats`);
  if (/^flat/i.test(word)) return add({ kind: 'flat', at: cell('0'), size: cell(size), count: 2 }, say`two flats ${size} across`);
  if (/^cross/i.test(word)) return add({ kind: 'crossHole', at: cell(at), size: cell(size) }, say`cross hole ${size} at ${at}`);
  const groove = splitAt(size);
  if (!groove || !readLength(groove[0], units)) return wrong(say`a groove is width x bottom at a place: groove 3 x 16 at 12`);
  return add(
    { kind: 'groove', at: cell(at), length: cell(groove[0]), size: cell(groove[1]) },
    say`groove ${groove[0]} wide to ${groove[1]}, at ${at}`,
  );
}

function asksAbout(text: string): Sentence {
  const at = text.search(/[xX×][^xX×]*$/);
  const [size, long] = [text.slice(0, at).trim(), text.slice(at + 1).trim()];
  return say`“${text}”: a thread of pitch ${long}, or size ${size}, length ${long}? For the second put spaces round the x: ${size} x ${long}`;
}
