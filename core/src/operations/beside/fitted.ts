import { type Facts } from '../facts';

/** A mate that each piece is fitted to, not to a number: measured, or by trial. A fit of the table makes pieces that interchange. */
export const fittedOne = (mate: Facts['job']['drawing']['mates'][number]): boolean =>
  mate.measured !== undefined || /^trial/i.test(mate.want.text.trim());

/** What a piece is called in a sentence. */
export const mateName = (piece: string): string => (piece.trim() === '' ? 'its mate' : piece.trim());
