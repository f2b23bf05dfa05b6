import { centresFormA } from './centres.table';

/**
 * Centre drill form A for a workpiece diameter: pilot, countersink and depth in mm.
 * @source DIN 332-1 form A, from memory; the choice by diameter (countersink at most 0.45 of it) is common practice
 */
export function centreFor(diameter: number): { readonly pilot: number; readonly mouth: number; readonly depth: number } {
  const fitting = centresFormA.filter(([pilot, mouth]) => mouth <= 0.45 * diameter && pilot <= 4);
  const row = fitting.at(-1) ?? centresFormA[0];
  return row ? { pilot: row[0], mouth: row[1], depth: row[2] } : { pilot: 1, mouth: 2.12, depth: 1.9 };
}
