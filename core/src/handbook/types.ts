import { type Figure, type Sentence, type Units, writeSentence } from '../quantity';
import type { Sketch } from './sketch';

export const groups = [
  'Sizes and fits',
  'Threads',
  'Holes and grooves',
  'Tapers',
  'Gears',
  'Speed and feed',
  'Fits by force and heat',
  'Finish',
  'On the mill or drill',
  'Measuring',
] as const;
export type Group = (typeof groups)[number];

/** One line of an answer: a number that opens its formula, or words; what it is called may hold what was typed, in the units of the page. */
export type Row = { readonly label: string | Sentence } & ({ readonly value: Figure; readonly after?: Sentence } | { readonly says: Sentence });
export const labelOf = ({ label }: Row, units: Units): string => (typeof label === 'string' ? label : writeSentence(label, units));

/** A table below the answer; every cell a figure or words. */
export interface Table {
  readonly head: readonly (string | Sentence)[];
  readonly rows: readonly (readonly (Figure | Sentence)[])[];
}

/** What of an answer a size cell of a drawing can take. */
export interface Use {
  readonly text: string;
  readonly words: string;
}

export interface Answered {
  readonly ok: true;
  readonly rows: readonly Row[];
  readonly table?: Table;
  /** what a person should know */
  readonly remarks?: readonly Sentence[];
  /** where it can hurt, or be out of limits */
  readonly cautions?: readonly Sentence[];
  readonly sketch?: Sketch;
  readonly uses?: readonly Use[];
  readonly source: string;
}

export interface NotAnswered {
  readonly ok: false;
  /** the field that is at fault, where one is */
  readonly at?: string;
  readonly says: Sentence;
  /** what may have been meant, for that field */
  readonly nearest?: readonly string[];
}

export type Answer = Answered | NotAnswered;

/** What the shop lends the Handbook to start from; a person may type anything else. */
export interface FromShop {
  readonly speeds?: readonly number[];
  readonly gears?: readonly number[];
  /** pitches that a gearbox gives by its levers, as they are written */
  readonly levers?: readonly string[];
  readonly leadscrew?: string;
}

export type Kind = 'length' | 'lengthList' | 'number' | 'numberList' | 'words' | 'choice';

/** One thing that is typed. Its text is the truth; a bare length is in the units of the page that typed it. */
export interface Field<T = unknown> {
  readonly label: string;
  readonly kind: Kind;
  /** small, behind the label: 'mm/rev', 'degrees' */
  readonly unit?: string;
  readonly start: string | ((shop: FromShop) => string);
  readonly choices?: readonly (readonly [value: string, words: string])[];
  readonly read: (text: string, units: Units) => { readonly ok: true; readonly value: T } | { readonly ok: false; readonly says: Sentence };
}

export type Texts = Readonly<Record<string, string>>;

export interface Calculator {
  /** its place in the address */
  readonly id: string;
  readonly group: Group;
  readonly title: string;
  /** other words that people look for it by */
  readonly words: string;
  readonly fields: Readonly<Record<string, Field>>;
  /** texts that are absent take their start */
  readonly answer: (texts: Texts, units: Units, shop?: FromShop) => Answer;
}
