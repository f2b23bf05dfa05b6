import { say } from './figure';
import type { Parsed, Units } from './length';

/** What a bare number of degrees means: nothing in an inch job, where both are in use. */
export type Degrees = 'C' | 'F' | 'ask';

/** @example bareDegrees('in') // 'ask' */
export const bareDegrees = (units: Units): Degrees => (units === 'mm' ? 'C' : 'ask');

/**
 * Degrees Fahrenheit of degrees Celsius.
 * @example fahrenheit(100) // 212
 */
export const fahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
const celsiusOf = (value: number, degrees: 'C' | 'F'): number => (degrees === 'F' ? ((value - 32) * 5) / 9 : value);

const degreesPattern = /^([+\-−]?)\s*(\d+(?:[.,]\d+)?)\s*(?:°|º|deg(?:rees)?\.?\s*)?\s*(c(?:elsius)?|f(?:ahrenheit)?)?(?![a-z\d])\s*/i;

/**
 * A temperature as typed, in degrees Celsius: '68 F', '20 °C', '260'. A bare number is Celsius, or Fahrenheit, or asked about.
 * @example parseTemperature('500 F') // { ok: true, value: 260 }
 * @example parseTemperature('68', 'ask').ok // false
 */
export function parseTemperature(text: string, bare: Degrees = 'C'): Parsed<number> {
  const read = degreesAt(text.trim(), bare);
  if (read?.rest === '') return read.asked ? unsure(text.trim()) : { ok: true, value: read.celsius };
  return { ok: false, problems: [{ at: text, says: say`“${text.trim()}” is not a temperature; write 20 C or 68 F` }] };
}

const unsure = (text: string): Parsed<number> => ({
  ok: false,
  problems: [{ at: text, says: say`${text} °C or ${text} °F? Write ${text} C or ${text} F` }],
});

interface Read {
  readonly celsius: number;
  readonly asked: boolean;
  readonly rest: string;
}

function degreesAt(text: string, bare: Degrees): Read | undefined {
  const m = degreesPattern.exec(text);
  if (m?.[2] === undefined) return undefined;
  const value = (m[1] === '' || m[1] === '+' ? 1 : -1) * Number(m[2].replace(',', '.'));
  const said = m[3]?.[0]?.toUpperCase();
  const degrees = said === 'C' || said === 'F' ? said : bare;
  const celsius = Math.round(celsiusOf(value, degrees === 'F' ? 'F' : 'C') * 100) / 100;
  return { celsius, asked: degrees === 'ask', rest: text.slice(m[0].length) };
}

/**
 * A time as typed, in minutes: '30 min', '1 h', '1 h 30', '1:30', '90 minutes', 'an hour'.
 * @example parseTime('1 h 30') // { ok: true, value: 90 }
 */
export function parseTime(text: string): Parsed<number> {
  const minutes = minutesOf(text.trim().toLowerCase());
  if (minutes !== undefined && minutes > 0 && minutes <= 72 * 60) return { ok: true, value: minutes };
  return { ok: false, problems: [{ at: text, says: say`“${text.trim()}” is not a time; write 30 min or 1 h 30` }] };
}

function minutesOf(t: string): number | undefined {
  const number = (s: string | undefined) => (s === undefined || s === '' ? 0 : Number(s.replace(',', '.')));
  if (/^(?:an? )?(?:hour)$/.test(t)) return 60;
  const half = /^half an hour$/.test(t) ? 30 : undefined;
  const clock = /^(\d{1,2}):([0-5]\d)(?:\s*h)?$/.exec(t);
  const hours = /^(\d+(?:[.,]\d+)?)\s*(?:hours?|hrs?|h)\.?\s*(?:(\d{1,2})\s*(?:minutes?|mins?|min|m|')?)?$/.exec(t);
  const minutes = /^(\d+(?:[.,]\d+)?)\s*(?:minutes?|mins?|min|m|')\.?$/.exec(t);
  if (half !== undefined) return half;
  if (clock) return 60 * number(clock[1]) + number(clock[2]);
  if (hours) return 60 * number(hours[1]) + number(hours[2]);
  return minutes ? number(minutes[1]) : undefined;
}

/** What a heat treatment says: at what temperature, for how long; what of it is neither. */
export interface Heat {
  /** degrees Celsius */
  readonly celsius?: number;
  /** a bare number in an inch job: both are in use */
  readonly asked?: number;
  readonly minutes?: number;
  /** what was not understood, or is words: '58 HRC', 'straw' */
  readonly rest: string;
}

/** A heat treatment as typed: '500 F 30 min', '260 °C, 1 h', '58 HRC', 'straw'. Never fails: what is not understood stands in `rest`. */
export function parseHeat(text: string, units: Units): Heat {
  const words = text.trim();
  const first = /\d+(?:[.,]\d+)?\s*(?:°|º|deg)?\s*[cf](?![a-z])/i.exec(words) ?? /(?<![\d.,])\d{3,4}(?!\d|[.,:]\d|\s*(?:h|m|'))/i.exec(words);
  const read = first ? degreesAt(words.slice(first.index), bareDegrees(units)) : undefined;
  const left = read && first ? `${words.slice(0, first.index)} ${read.rest}` : words;
  const time =
    /(?:\d+(?:[.,]\d+)?\s*(?:hours?|hrs?|h)(?![a-z])\.?\s*(?:\d{1,2}\s*(?:minutes?|mins?|min|m)?)?|\d{1,2}:[0-5]\d(?:\s*h)?|\d+(?:[.,]\d+)?\s*(?:minutes?|mins?|min|m)(?![a-z])|half an hour|an hour)\.?/i.exec(
      left,
    );
  const parsed = time ? parseTime(time[0].trim()) : undefined;
  const rest = (parsed?.ok === true && time ? left.replace(time[0], ' ') : left)
    .replace(/[\s,;]+/g, ' ')
    .replace(/\b(?:at|for)\b/gi, '')
    .trim();
  return {
    ...(read && !read.asked && { celsius: read.celsius }),
    ...(read?.asked === true && { asked: read.celsius }),
    ...(parsed?.ok === true && { minutes: parsed.value }),
    rest,
  };
}
