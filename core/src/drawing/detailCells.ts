import type { Detail } from '../document';
import type { Sentence } from '../quantity';
import { parseLengthCell } from './parseSize';
import type { Limits, PartDetail } from './types';

/** What a detail's cells come to, without its place. `long`: how far it goes along the axis where that is not its width. */
export type Understood = Pick<PartDetail, 'says' | 'source'> &
  Partial<Omit<PartDetail, 'id' | 'kind' | 'on' | 'near' | 'far'>> & { readonly long?: number };
/** A detail that cannot be made out, and what it may have meant. */
export interface Refused {
  readonly says: Sentence;
  readonly nearest: readonly string[];
}

/** A size without limits. */
export const exact = (nominal: number): Limits => ({ nominal, max: nominal, min: nominal, from: 'general' });
/** Why a detail cannot be made out. */
export const refused = (says: Sentence, nearest: readonly string[] = []): Refused => ({ says, nearest });

/** The angle cell of a detail, degrees; nothing where it is empty or no number. */
export const anglesOf = (detail: Detail): number | undefined => {
  const text = detail.angle?.text.trim() ?? '';
  const value = Number(/^\d*[.,]?\d+/.exec(text)?.[0]?.replace(',', '.'));
  return text === '' || !Number.isFinite(value) ? undefined : value;
};

/** The length cell of a detail, mm; nothing where it is empty or no length. */
export function lengthOf(detail: Detail): number | undefined {
  if (!detail.length || detail.length.text.trim() === '') return undefined;
  const read = parseLengthCell(detail.length.text, detail.length.units);
  return read.ok ? read.value.nominal : undefined;
}
