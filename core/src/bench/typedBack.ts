import type { Cell, Shop } from '../document';
import type { Part } from '../drawing';
import { readingOf } from '../inspection';
import { say, type Sentence, type Units } from '../quantity';
import { boreGaugeFor, gaugeFor } from '../shop';
import type { Bare } from './press';

/** What a sheet that was filled in by hand comes to: readings, and the lines that are not understood. */
export interface TypedBack {
  readonly entries: readonly Bare[];
  readonly wrong: readonly { readonly line: number; readonly says: Sentence }[];
}

const PIECES = 50;

/**
 * Readings typed back from paper by the numbers of their blanks, a line or a semicolon each: '7 = 24.993', '2/7 = 24.99' of piece 2. What is not understood is told, and the
 * rest is not lost.
 * @param piece of lines that name none
 * @example typedBack('1 = 20.1', readDrawing({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }.drawing), midShop(), 'mm', 1).entries.length // 1
 */
export function typedBack(text: string, part: Part, shop: Shop, units: Units, piece: number): TypedBack {
  const entries: Bare[] = [];
  const wrong: TypedBack['wrong'][number][] = [];
  text.split(/[\n;]/).forEach((raw, i) => {
    const line = raw.trim();
    if (line === '') return;
    const refuse = (says: Sentence) => wrong.push({ line: i + 1, says });
    const m = /^(?:(\d{1,2})\s*\/\s*)?(?:no\.?\s*)?(\d{1,3})\s*[=:]\s*(.+)$/i.exec(line);
    const [of, number, typed] = [m?.[1] === undefined ? piece : Number(m[1]), Number(m?.[2]), m?.[3]?.trim() ?? ''];
    if (!m) return refuse(say`“${line}” is no reading of a blank; write 7 = 24.993`);
    if (of < 1 || of > PIECES) return refuse(say`there is no piece ${of}`);
    const size = part.characteristics.find((c) => c.balloon === number);
    if (!size) return refuse(say`no size has the number ${number}; the last is ${part.characteristics.length}`);
    if (!size.limits) return refuse(say`size ${number} is tried with its gauge, not read`);
    const value: Cell = { text: typed.slice(0, 200), units };
    const read = readingOf(size.is, value);
    if (!read.ok) return refuse(read.problems[0]?.says ?? say`“${typed}” is no reading`);
    const inside = part.features.some((f) => f.id === size.of && f.side !== 'outside');
    const gauge = (inside ? boreGaugeFor : gaugeFor)(shop, size.limits.nominal, size.limits.max - size.limits.min);
    entries.push({ kind: 'reading', of: size.id, value, gauge: gauge?.id ?? 'none', piece: of, step: null });
    return undefined;
  });
  return { entries, wrong };
}
