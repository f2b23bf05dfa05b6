import { alike, figure, type Figure, type QuantityKind } from '../quantity';
import { rowOf } from '../ref';
import type { Choice, Job } from './types';

type Of<K extends Choice['kind']> = Extract<Choice, { kind: K }>;

/** A job's choices by what they are about; a later one of a kind replaces an earlier. */
export interface Chosen {
  readonly hold: ReadonlyMap<string, Of<'hold'>>;
  readonly method: ReadonlyMap<string, Of<'method'>>;
  /** by row: the setup it is turned in */
  readonly in: ReadonlyMap<string, Of<'in'>>;
  /** by step: items in the order chosen */
  readonly use: ReadonlyMap<string, readonly string[]>;
  readonly data: ReadonlyMap<string, Of<'data'>>;
  readonly ways: ReadonlyMap<string, string>;
  readonly ownSteps: readonly Of<'ownStep'>[];
  /** pairs of steps: the one before the other */
  readonly order: readonly (readonly [string, string])[];
}

export function chosenIn(job: Job): Chosen {
  const hold = new Map<string, Of<'hold'>>();
  const method = new Map<string, Of<'method'>>();
  const where = new Map<string, Of<'in'>>();
  const use = new Map<string, string[]>();
  const data = new Map<string, Of<'data'>>();
  const ways = new Map<string, string>();
  const ownSteps: Of<'ownStep'>[] = [];
  const order: (readonly [string, string])[] = [];
  for (const choice of job.choices) {
    if (choice.kind === 'hold') hold.set(choice.setup, choice);
    else if (choice.kind === 'method') method.set(choice.of, choice);
    else if (choice.kind === 'in') where.set(rowOf(choice.step), choice);
    else if (choice.kind === 'use') use.set(choice.step, [choice.item, ...(use.get(choice.step) ?? [])]);
    else if (choice.kind === 'data') data.set(choice.step, choice);
    else if (choice.kind === 'way') ways.set(choice.way, choice.value);
    else if (choice.kind === 'ownStep') ownSteps.push(choice);
    else if (choice.kind === 'order') choice.steps.slice(1).forEach((step, i) => order.push([choice.steps[i] ?? '', step]));
  }
  return { hold, method, in: where, use, data, ways, ownSteps, order };
}

/** The row that a step is about: of `finish-turn@s2.diameter:left-1` it is s2. */

/** A computed figure, unless a person chose another value: a choice equal to what is computed leaves its formula standing. */
export function orChosen(computed: Figure, chosen: number | undefined): Figure {
  if (chosen === undefined || !(chosen >= 0) || alike(chosen, computed.value)) return computed;
  const kind: QuantityKind = computed.is;
  return figure(kind, 'chosen', { value: chosen });
}

/** An id for a choice made without a person, from what it is about. */
export const choiceId = (...about: readonly string[]): string =>
  about
    .join('-')
    .toLowerCase()
    .replace(/[^0-9a-z]+/g, '-')
    .slice(0, 40);
