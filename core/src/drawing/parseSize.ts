import {
  length,
  LONGEST,
  MM_PER_INCH,
  type Parsed,
  parseLength,
  readDeviations,
  readLength,
  remember,
  say,
  type Sentence,
  tidy,
  type Units,
} from '../quantity';
import { drillNamed, generalTolerance, readExternalThread, readInternalThread, taperPipe, type TaperPipe, toleranceClass } from '../standards';
import { parseTaper } from './parseTaper';
import type { Limits, Size } from './types';

/**
 * What a machinist wrote in a size cell; `units` is what a bare number means. Fractions and inch marks are inches in
 * either unit. Never throws: what is not understood comes back as `unknown` with a sentence and the nearest that is.
 * @param where a thread in a hole has a class of its own
 * @example parseSize('25 h6', 'mm'); parseSize('.548 +0 -.002', 'in'); parseSize('M12x1.5-6g', 'in'); parseSize('13/16', 'mm'); parseSize('20 > 15', 'mm')
 */
export const parseSize: (text: string, units: Units, where?: 'outside' | 'inside') => Size = remember(
  readSizeCell,
  (text, units, where) => `${units}${where ?? 'outside'}|${text}`,
);

function readSizeCell(text: string, units: Units, where: 'outside' | 'inside' = 'outside'): Size {
  const t = bareSize(text);
  if (t === '') return unknown(say`no size yet`, []);
  const drawn = /^bar\s+(.+)$|^(.+)\s+bar$/i.exec(t);
  if (drawn) return asDrawn(drawn[1] ?? drawn[2] ?? '', units);
  if (/^bar$/i.test(t)) return unknown(say`write the bar’s own size too: bar 25`, []);
  const shape = /^(hex|square|sq|ball|sphere)\s+(.*)$/i.exec(t);
  if (shape) return readShape(shape[1]?.toLowerCase() ?? '', shape[2] ?? '', units);
  if (/^[-−]/.test(t)) return unknown(say`“${t}” is negative; a diameter is more than zero`, [t.replace(/^[-−]\s*/, '')]);

  const thread = where === 'outside' ? readExternalThread(t) : readInternalThread(t);
  if (thread) {
    return thread.ok
      ? { kind: 'thread', designation: thread.thread.designation, leftHand: thread.thread.leftHand }
      : unknown(thread.says, thread.nearest);
  }
  const pipe = taperPipe(t.replace(/\s*>$/, ''), where);
  if (pipe) return pipeSize(pipe, where, t.endsWith('>'));
  const taper = parseTaper(t, units, readDiameter);
  if (taper) return taper;
  const made = /^(.*\S)\s+(drill(?:ed)?|bore[d]?|ream(?:ed)?)$/i.exec(t);
  const size = readDiameter(made?.[1] ?? t, units);
  if (!made || size.kind !== 'diameter') return size;
  const how = made[2]?.toLowerCase() ?? '';
  return { ...size, made: how.startsWith('ream') ? 'reamed' : how.startsWith('bore') ? 'bored' : 'drilled' };
}

/** A taper pipe thread is turned as its cone, the small end outwards on an outside one, the wide mouth outwards on an inside one; 'R 1/2 >' has it at end B. */
function pipeSize({ name, inside, slope, diameter: wide }: TaperPipe, where: 'outside' | 'inside', atB: boolean): Size {
  if (inside !== (where === 'inside'))
    return unknown(inside ? say`${name} is a thread in a hole; outside it is R` : say`${name} is an outside thread; in a hole it is Rc`, []);
  if (atB && !inside) return { kind: 'taper', far: general(wide), slope, narrows: 'far', name };
  return { kind: 'taper', near: general(wide), slope, narrows: inside ? 'far' : 'near', name };
}

function readDiameter(t: string, units: Units): Size {
  const drill = drillNamed(t);
  if (drill?.set === 'number' || drill?.set === 'letter') return { kind: 'diameter', limits: general(drill.diameter) };
  const read = readLength(t, units);
  if (!read) return unknown(say`“${t}” is not a size; write 25, 25 h6, 13/16, .548 -.002 or M12x1.5`, []);
  if (!(read.value > 0)) return unknown(say`“${t}” is zero; a diameter is more than zero`, []);
  if (read.value > LONGEST) return unknown(say`“${t}” is over 10 m; is the unit right?`, []);
  const nominal = tidy(read.value);
  const rest = read.rest.trim();
  if (rest === '') return { kind: 'diameter', limits: general(nominal) };
  const withClass = /^([a-z]{1,2})\s?(\d{1,2})$/i.exec(rest);
  if (withClass) {
    const name = `${withClass[1] ?? ''}${withClass[2] ?? ''}`;
    const deviation = toleranceClass(nominal, name);
    if (!deviation) return unknown(say`${name} is not in the table for this size`, [`${t.slice(0, t.length - rest.length).trim()} h6`]);
    return { kind: 'diameter', limits: { nominal, max: tidy(nominal + deviation.upper), min: tidy(nominal + deviation.lower), from: 'class' } };
  }
  const typed = readDeviations(rest, read.units);
  if (!typed) return unknown(say`“${rest}” after ${length(nominal)} is not a tolerance; write h6, +/-0.05, +0 -.002`, []);
  const limits: Limits = { nominal, max: tidy(nominal + typed.upper), min: tidy(nominal + typed.lower), from: 'typed' };
  if (!(limits.min > 0)) return unknown(say`the tolerance of “${t}” goes below zero`, []);
  return { kind: 'diameter', limits };
}

function readShape(name: string, text: string, units: Units): Size {
  const size = readDiameter(text.trim(), units);
  if (size.kind !== 'diameter') return size;
  if (name === 'ball' || name === 'sphere') return { kind: 'ball', limits: size.limits };
  return { kind: 'polygon', sides: name === 'hex' ? 6 : 4, across: size.limits };
}

function asDrawn(text: string, units: Units): Size {
  const size = readDiameter(text.trim(), units);
  return size.kind === 'diameter' ? { kind: 'bar', across: size.limits } : size;
}

/** A size that carries no tolerance of its own: limits equal to the nominal until the general rule is applied. */
function general(nominal: number): Limits {
  return { nominal, max: nominal, min: nominal, from: 'general' };
}

function unknown(says: Sentence, nearest: readonly string[]): Size {
  return { kind: 'unknown', says, nearest };
}

/** Applies the rule for sizes without a tolerance ('ISO 2768-m', '+/-0.1') to limits that came from nothing else. */
export function withGeneralRule(limits: Limits, rule: string, units: Units): Limits {
  if (limits.from !== 'general') return limits;
  const iso = /^ISO\s*2768-?\s*([fmcv])/i.exec(rule.trim());
  const deviation = iso ? generalTolerance(limits.nominal, iso[1]?.toLowerCase() ?? '') : undefined;
  const typed = iso ? undefined : readDeviations(rule, units);
  const upper = deviation ?? typed?.upper;
  const lower = deviation === undefined ? typed?.lower : -deviation;
  if (upper === undefined || lower === undefined) return limits;
  return { ...limits, max: tidy(limits.nominal + upper), min: tidy(limits.nominal + lower) };
}

/** A size as typed, without the sign or the word that only says that it is a diameter; what the picture writes after its own sign. */
export const bareSize = (text: string): string => text.trim().replace(/^(?:Ø|⌀|dia(?:m(?:eter)?)?\.?\s)\s*/i, '');

/** A length cell: '40', '40 +/-0.1', '1-1/2 -.010'. */
export const parseLengthCell: (text: string, units: Units) => Parsed<Limits> = remember(readLengthCell, (text, units) => `${units}|${text}`);

function readLengthCell(text: string, units: Units): Parsed<Limits> {
  const fail = (says: Sentence): Parsed<Limits> => ({ ok: false, problems: [{ at: text, says }] });
  const t = text.trim();
  if (t === '') return fail(say`the length is missing`);
  if (/^[-−]/.test(t)) return fail(say`“${t}” is negative; a length is more than zero`);
  const size = readDiameter(t, units);
  if (size.kind === 'diameter' && size.limits.from !== 'class') return { ok: true, value: size.limits };
  const read = readLength(t, units);
  if (read && !(read.value > 0)) return fail(say`“${t}” is zero; a length is more than zero`);
  if (read && read.value > LONGEST && size.kind === 'unknown') return fail(size.says);
  return fail(say`“${t}” is not a length; write 40, 40 +/-0.1 or 1-1/2`);
}

/** The pitch of a thread, mm: '1.5', '20 tpi', '.05'; undefined while it is none. */
export function parsePitch(text: string, units: Units): number | undefined {
  const tpi = Number(/^(\d+(?:[.,]\d+)?)\s*tpi$/i.exec(text.trim())?.[1]?.replace(',', '.') ?? NaN);
  if (tpi > 0) return MM_PER_INCH / tpi;
  const read = parseLength(text, units);
  return read.ok ? read.value : undefined;
}

/** A finish cell: 'Ra 1.6', '1.6', '63' (microinches when over 25 or in an inch cell). Ra in micrometres; undefined when empty. */
export function parseFinish(text: string, units: Units): Parsed<number | undefined> {
  const t = text.trim();
  if (t === '') return { ok: true, value: undefined };
  const m = /^(?:Ra\s*)?(\d*[.,]?\d+)\s*(µin|uin|µm|um)?$/i.exec(t);
  const value = Number(m?.[1]?.replace(',', '.'));
  if (!m || !(value > 0) || value > 2000) return { ok: false, problems: [{ at: t, says: say`“${t}” is not a finish; write Ra 1.6 or 63` }] };
  const inches = /in$/i.test(m[2] ?? '') || (m[2] === undefined && (units === 'in' || value > 25));
  return { ok: true, value: inches ? value * 0.0254 : value };
}
