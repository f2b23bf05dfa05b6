/** What a number is of; decides how it is written on screen. Values are in the units of the shop: mm, mm/rev, m/min, rev/min, N, kW, minutes, degrees C. */
export type QuantityKind =
  | 'length'
  | 'diameter'
  | 'angle'
  | 'spindleSpeed'
  | 'cuttingSpeed'
  | 'feed'
  | 'force'
  | 'torque'
  | 'pressure'
  | 'power'
  | 'time'
  | 'temperature'
  | 'mass'
  | 'volume'
  | 'roughness'
  | 'ratio'
  | 'count'
  | 'cost';

export type Inputs = Readonly<Record<string, number | string | readonly number[]>>;

/** A number that can be shown: it names its formula and carries every input of it. `step` is the last digit that means something. */
export interface Figure {
  readonly is: QuantityKind;
  readonly value: number;
  readonly deviation?: number;
  readonly step?: number;
  readonly formula: string;
  readonly of: Inputs;
  /** where the values put in come from, when that differs from the formula's own source */
  readonly source?: string;
}

export interface Quantity {
  readonly is: QuantityKind;
  readonly value: number;
  readonly step?: number;
}

/** Words, quantities, and figures, which can open their formula; units and rounding are chosen on screen. */
export type Sentence = readonly (string | Quantity | Figure)[];

/** A part of a sentence that knows how it was computed. */
export const isFigure = (part: Sentence[number]): part is Figure => typeof part !== 'string' && 'formula' in part;

/** Builds a Sentence from a template: say`stick-out ${length(79)} is ${ratio(4.2)} to 1`. */
export function say(words: TemplateStringsArray, ...parts: readonly (string | number | Quantity | Figure | Sentence)[]): Sentence {
  const out: (string | Quantity | Figure)[] = [];
  for (let i = 0; i < words.length; i++) {
    append(out, words[i] ?? '');
    const part = parts[i];
    if (part === undefined) continue;
    if (Array.isArray(part)) for (const own of part as Sentence) append(out, own);
    else append(out, typeof part === 'number' ? plainly(part) : (part as string | Quantity | Figure));
  }
  return out;
}

/** A bare number: whole ones as they are, others with the decimals that they have, written behind the mark that the page reads. */
function plainly(value: number): string | Quantity {
  const decimals = /^-?\d+\.(\d{1,9})$/.exec(String(value))?.[1]?.length;
  return decimals === undefined ? String(value) : { is: 'ratio', value, step: Number(`1e-${String(decimals)}`) };
}

function append(out: (string | Quantity | Figure)[], part: string | Quantity | Figure): void {
  if (part === '') return;
  const last = out.at(-1);
  if (typeof part === 'string' && typeof last === 'string') out[out.length - 1] = last + part;
  else out.push(part);
}

const quantity =
  (is: QuantityKind) =>
  (value: number, step?: number): Quantity =>
    step === undefined ? { is, value } : { is, value, step };

export const length = quantity('length');
export const diameter = quantity('diameter');
export const ratio = quantity('ratio');
export const spindleSpeed = quantity('spindleSpeed');
export const cuttingSpeed = quantity('cuttingSpeed');
export const feed = quantity('feed');
export const power = quantity('power');
export const temperature = quantity('temperature');
export const angle = quantity('angle');
export const force = quantity('force');
export const pressure = quantity('pressure');
export const time = quantity('time');
