import { tidy } from '../quantity';
import { lessSwept, sectionsOf } from '../stock';
import type { At } from './outcome';

/** The diameter that stands open all the way between two depths, 0 where any of it is solid; mm. */
export function openBetween({ stock, bare }: Pick<At, 'stock' | 'bare'>, zFrom: number, zTo: number): number {
  const [left, right] = [Math.min(zFrom, zTo), Math.max(zFrom, zTo)];
  const region = bare ? lessSwept(stock, bare.earlier, left, right) : stock;
  return tidy(2 * sectionsOf(region, left, right).reduce((least, s) => Math.min(least, s.inner), Infinity)) || 0;
}

/** The hole that stands at a face, as deep as a centre drill would go; 0 in solid metal, mm. */
export function openAtFace(at: Pick<At, 'stock' | 'bare'>, face: number, inward: 1 | -1): number {
  const open = openBetween(at, face + inward * 0.5, face + inward * 5);
  return Number.isFinite(open) ? open : 0;
}
