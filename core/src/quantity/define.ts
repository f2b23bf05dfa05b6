import type { Inputs, QuantityKind } from './figure';

/** What an input stands for: its kind decides the unit it is shown with. */
export type Meaning = readonly [kind: QuantityKind, words: string];

export interface Formula {
  readonly text: string;
  readonly source: string;
  readonly inputs: Readonly<Record<string, Meaning>>;
  readonly compute: (of: Inputs) => number;
}

/** Reads a numeric input. @throws RangeError when it is absent or not a number */
function number(of: Inputs, name: string): number {
  const value = of[name];
  if (typeof value !== 'number' || Number.isNaN(value)) throw new RangeError(`input ${name} is ${String(value)}, a number is needed`);
  return value;
}

function list(of: Inputs, name: string): readonly number[] {
  const value = of[name];
  if (!Array.isArray(value)) throw new RangeError(`input ${name} is not a list of numbers`);
  return value as readonly number[];
}

/** A formula with its words, its source and what each input stands for; reading an input that is absent or no number throws RangeError. */
export function define<K extends string, L extends string = never>(
  text: string,
  source: string,
  inputs: Readonly<Record<K | L, Meaning>>,
  compute: (value: Readonly<Record<K, number>>, lists: Readonly<Record<L, readonly number[]>>) => number,
): Formula {
  const names = Object.keys(inputs);
  return {
    text,
    source,
    inputs,
    compute: (of) => {
      const values: Record<string, number> = {};
      const lists: Record<string, readonly number[]> = {};
      for (const name of names) {
        if (Array.isArray(of[name])) lists[name] = list(of, name);
        else values[name] = number(of, name);
      }
      return compute(values as Record<K, number>, lists as Record<L, readonly number[]>);
    },
  };
}
