import type { Entry, Gauge } from '../document';
import { atReference, figure, type Figure, growth, type QuantityKind, REFERENCE } from '../quantity';
import { mmOf } from './items';

/** Scales, screws and standards of gauges are steel, millionths a degree. @source common practice */
export const GAUGE_ALPHA = 11.5;

/** What a reading was taken in: how warm the piece was, how warm the room and the gauge with it. */
export type TakenIn = Pick<Extract<Entry, { kind: 'reading' }>, 'celsius' | 'room'>;

/** How warm the piece was, degrees C: as it was told, else as the room. */
export const warmthOf = ({ celsius, room }: TakenIn): number => celsius ?? room ?? REFERENCE;

/** What a gauge was found to read over at its last check, mm: worn anvils read over, worn jaws inside read under. */
export function readsOver(gauge: Pick<Gauge, 'reads'> | undefined): number {
  const text = gauge?.reads?.text.trim() ?? '';
  if (!gauge?.reads || text === '') return 0;
  const size = mmOf({ ...gauge.reads, text: text.replace(/^[-−+]\s*/, '') });
  return /^[-−]/.test(text) ? -size : size;
}

/**
 * What a reading says the piece was when it was read, as warm as it was: freed of what its gauge reads over, and of what a gauge in a cold or warm room shows wrong. mm
 * @source ISO 1, linear expansion: work and gauge of one material and one temperature show the size at 20 C
 * @example readBy(25, { room: 10 }, undefined) // 24.997125
 */
export const readBy = (reading: number, { room }: TakenIn, gauge: Pick<Gauge, 'reads'> | undefined): number => {
  const own = reading - readsOver(gauge);
  return own + growth(own, GAUGE_ALPHA, (room ?? REFERENCE) - REFERENCE);
};

/** The same at 20 degrees, mm. @param alpha of the piece, millionths a degree @example Math.abs(coldBy(25, { celsius: 10, room: 10 }, undefined, 11.5) - 25) < 1e-6 // true */
export const coldBy = (reading: number, taken: TakenIn, gauge: Pick<Gauge, 'reads'> | undefined, alpha: number): number =>
  atReference(readBy(reading, taken, gauge), alpha, warmthOf(taken));

/** The same with its formula. @param deviation how far it may be off, mm */
export function coldFigureBy(
  is: QuantityKind,
  reading: number,
  taken: TakenIn,
  gauge: Pick<Gauge, 'reads'> | undefined,
  alpha: number,
  deviation: number,
): Figure {
  const over = readsOver(gauge);
  const room = taken.room ?? REFERENCE;
  const celsius = warmthOf(taken);
  return over === 0 && room === REFERENCE
    ? figure(is, 'coldSize', { reading, alpha, celsius }, { step: 0.001, deviation })
    : figure(is, 'coldSizeBy', { reading, over, room, gaugeAlpha: GAUGE_ALPHA, alpha, celsius }, { step: 0.001, deviation });
}
