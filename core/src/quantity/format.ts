import { ROUNDING } from './compare';
import type { Quantity, QuantityKind, Sentence } from './figure';
import { MM_PER_INCH, type Units } from './length';
import { roundTo } from './rounding';

export interface Written {
  readonly text: string;
  readonly unit: string;
}

interface Habit {
  readonly step: number;
  readonly unit: string;
  readonly inch?: { readonly step: number; readonly unit: string; readonly of: (value: number) => number };
  readonly keepZeros?: boolean;
}

/** What stands before decimals where a person reads them. */
export type DecimalMark = '.' | ',';
let mark: DecimalMark = '.';

/** From now on decimals are read behind this mark, as the person before the page is used to; what is typed, stored and exchanged is not touched by it. */
export const readDecimalsBehind = (to: DecimalMark): void => {
  mark = to;
};
/** The mark as it is read now. */
export const decimalMark = (): DecimalMark => mark;

const perInch = (value: number) => value / MM_PER_INCH;

const habits: Readonly<Record<QuantityKind, Habit>> = {
  length: { step: 0.01, unit: 'mm', inch: { step: 0.001, unit: 'in', of: perInch } },
  diameter: { step: 0.01, unit: 'mm', inch: { step: 0.001, unit: 'in', of: perInch } },
  angle: { step: 0.1, unit: '°' },
  spindleSpeed: { step: 1, unit: 'rpm' },
  cuttingSpeed: { step: 1, unit: 'm/min', inch: { step: 1, unit: 'ft/min', of: (v) => v / 0.3048 } },
  feed: { step: 0.01, unit: 'mm/rev', inch: { step: 0.0001, unit: 'in/rev', of: perInch }, keepZeros: true },
  force: { step: 1, unit: 'N', inch: { step: 1, unit: 'lbf', of: (v) => v / 4.4482216 } },
  torque: { step: 0.1, unit: 'N m', inch: { step: 0.1, unit: 'ft lbf', of: (v) => v / 1.3558179 } },
  pressure: { step: 1, unit: 'N/mm²', inch: { step: 10, unit: 'psi', of: (v) => v * 145.0377 } },
  power: { step: 0.01, unit: 'kW' },
  time: { step: 0.1, unit: 'min' },
  temperature: { step: 0.1, unit: '°C' },
  mass: { step: 0.001, unit: 'kg', inch: { step: 0.001, unit: 'lb', of: (v) => v / 0.45359237 } },
  volume: { step: 1, unit: 'mm³', inch: { step: 0.001, unit: 'in³', of: (v) => v / MM_PER_INCH ** 3 } },
  roughness: { step: 0.1, unit: 'µm', inch: { step: 1, unit: 'µin', of: (v) => perInch(v) * 1000 } },
  ratio: { step: 0.01, unit: '' },
  count: { step: 1, unit: '' },
  cost: { step: 0.1, unit: '' },
};

/** Decimals that a step of 0.01, 0.005, 0.0001 needs. */
function decimals(step: number): number {
  return Math.max(0, Math.ceil(-Math.log10(step) - ROUNDING));
}

/**
 * Writes one quantity in the given units. `step` is in the core's unit (mm for lengths): 0.001 mm becomes .0001 in.
 * Trailing zeros stay when a step is given, since then they mean something.
 */
export function write(quantity: Quantity, units: Units): Written {
  const plain = writePlain(quantity, units);
  return mark === '.' ? plain : { ...plain, text: plain.text.replace('.', mark) };
}

/** The same with a point before decimals whoever reads it: for files that programs read. */
export function writePlain(quantity: Quantity, units: Units): Written {
  const habit = habits[quantity.is];
  const inch = units === 'in' ? habit.inch : undefined;
  const value = inch ? inch.of(quantity.value) : quantity.value;
  const own = quantity.step;
  // a step in mm becomes a tenth of it in inches; of other quantities the inch habit stands
  const isLength = quantity.is === 'length' || quantity.is === 'diameter' || quantity.is === 'feed';
  const step = own === undefined || (inch && !isLength) ? (inch?.step ?? habit.step) : inch ? Math.min(inch.step, own / 10) : own;
  if (!Number.isFinite(value)) return { text: '–', unit: inch?.unit ?? habit.unit };
  const places = decimals(step);
  let text = roundTo(value, step > 1 ? step : 10 ** -places).toFixed(places);
  if (own === undefined && habit.keepZeros !== true && places > 0) text = text.replace(/\.?0+$/, '');
  if (/^-0(\.0*)?$/.test(text)) text = text.slice(1);
  if (inch && isLength) text = text.replace(/^(-?)0\./, '$1.');
  return { text: quantity.is === 'diameter' ? `Ø${text}` : text, unit: inch?.unit ?? habit.unit };
}

/**
 * The same with its unit, for sentences and lists.
 * @example writeWithUnit({ is: 'length', value: 25.4 }, 'in') // '1 in'
 */
export function writeWithUnit(quantity: Quantity, units: Units): string {
  const { text, unit } = write(quantity, units);
  return unit === '' ? text : unit === '°' ? text + unit : `${text} ${unit}`;
}

/**
 * A sentence in the units of the page, its figures written with theirs.
 * @example writeSentence(['bore to ', { is: 'diameter', value: 12.7 }], 'in') // 'bore to Ø.5 in'
 */
export function writeSentence(sentence: Sentence, units: Units): string {
  return sentence.map((part) => (typeof part === 'string' ? part : writeWithUnit(part, units))).join('');
}

/**
 * Minutes as m:ss, or h:mm above an hour with 'h'.
 * @example writeMinutes(1.5) // '1:30'
 */
export function writeMinutes(minutes: number): string {
  const seconds = Math.round(minutes * 60);
  if (seconds >= 3600) return `${String(Math.floor(seconds / 3600))}:${String(Math.floor((seconds % 3600) / 60)).padStart(2, '0')} h`;
  return `${String(Math.floor(seconds / 60))}:${String(seconds % 60).padStart(2, '0')}`;
}

/**
 * What is left of a wait, seconds, as on a clock: h:mm:ss, or m:ss under an hour.
 * @example writeClock(75) // '1:15'
 */
export function writeClock(left: number): string {
  const seconds = Math.ceil(left);
  const two = (n: number) => String(n).padStart(2, '0');
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  return h > 0 ? `${String(h)}:${two(m)}:${two(s)}` : `${String(m)}:${two(s)}`;
}

/**
 * What a person would type to mean exactly this length, in these units; parses back to the same value.
 * @example writeExact(25.4, 'in') // '1'
 */
export function writeExact(mm: number, units: Units): string {
  const value = units === 'in' ? mm / MM_PER_INCH : mm;
  return String(Number(value.toFixed(6)));
}
