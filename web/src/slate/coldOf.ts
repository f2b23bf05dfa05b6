import type { Cell } from '@obra/core/document';
import { atReference, parseLength, REFERENCE } from '@obra/core/quantity';
import { materialOf } from '@obra/core/standards';

export interface Read {
  readonly value: Cell;
  readonly celsius?: number | undefined;
}

/** Readings as they would be at 20 degrees, mm. */
export const coldOf = (read: readonly Read[], material: string): readonly number[] =>
  read.flatMap(({ value, celsius }) => {
    const size = parseLength(value.text, value.units);
    return size.ok ? [atReference(size.value, materialOf(material).alpha, celsius ?? REFERENCE)] : [];
  });
