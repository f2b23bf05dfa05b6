import type { Cell } from '../document';
import type { Limits } from '../drawing';
import { type Degrees, MM_PER_INCH, type Parsed, parseLength, parseTemperature, say, type Units, writeExact } from '../quantity';

/** How a gauge counts: hundredths of a millimetre, thousandths of an inch; mm. */
const COUNT = { mm: 0.01, in: MM_PER_INCH / 1000 } as const;

/**
 * A reading as typed at the Bench: '25.318', '.7512', or '+7' and '-3': so many hundredths of a millimetre (in an inch
 * cell thousandths of an inch) over or under what is wanted. The size in mm, and the cell that is kept.
 */
export function readReading(text: string, units: Units, wanted: Limits): Parsed<{ readonly mm: number; readonly cell: Cell }> {
  const over = /^([+\-−])\s*(\d+(?:[.,]\d+)?)$/.exec(text.trim());
  if (over?.[2] !== undefined) {
    const mm = wanted.nominal + (over[1] === '+' ? 1 : -1) * Number(over[2].replace(',', '.')) * COUNT[units];
    if (mm <= 0) return { ok: false, problems: [{ at: text, says: say`“${text.trim()}” would be less than nothing` }] };
    const kept = writeExact(mm, units);
    // what is kept is read again later: no size that is larger than any
    const again = parseLength(kept, units);
    return again.ok ? { ok: true, value: { mm, cell: { text: kept, units } } } : again;
  }
  const read = parseLength(text, units);
  return read.ok ? { ok: true, value: { mm: read.value, cell: { text: text.trim(), units } } } : read;
}

/**
 * A reading with the digits that were offered before it: a whole reading typed after them takes their place, so '19.' and '19.31' are 19.31.
 * @example wholeReading('19.', '19.19.31') // '19.31'
 */
export function wholeReading(lead: string, text: string): string {
  if (lead === '' || !text.startsWith(lead)) return text;
  const rest = text.slice(lead.length);
  // signs begin anew: so much over what is wanted
  if (/^[+\-−]/.test(rest)) return rest;
  return rest.includes('.') || rest.includes(',') || rest.includes('/') ? rest : text;
}

/** The digits of an expected size that will not change: '19.' of 19.292 mm, '.7' of .7512 in. Empty when a digit may turn over. */
export function leadingDigits(mm: number, units: Units): string {
  const value = units === 'mm' ? mm : mm / MM_PER_INCH;
  const scale = units === 'mm' ? 1 : 10;
  const near = Math.abs(value * scale - Math.round(value * scale));
  if (near < 0.1) return '';
  const text = (Math.floor(value * scale) / scale).toFixed(units === 'mm' ? 0 : 1);
  return units === 'mm' ? `${text}.` : text.replace(/^0\./, '.');
}

/** A temperature of a piece as typed ('34', '93 F'), degrees C; undefined outside -40 to 400, or where it is not understood. Empty is 20. */
export function readCelsius(text: string, bare: Degrees = 'C'): number | undefined {
  const read = readWarmth(text, bare);
  return read.ok ? read.value : undefined;
}

/** The same with the reason: what is wrong with it, or whether it is C or F. */
export function readWarmth(text: string, bare: Degrees = 'C'): Parsed<number> {
  if (text.trim() === '') return { ok: true, value: 20 };
  const read = parseTemperature(text, bare);
  if (!read.ok || (read.value > -40 && read.value < 400)) return read;
  return { ok: false, problems: [{ at: text, says: say`${text.trim()} is not the temperature of a piece that is measured: -40 to 400 °C` }] };
}
