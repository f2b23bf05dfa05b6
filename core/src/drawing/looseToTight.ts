import { length, say, type Sentence } from '../quantity';

/**
 * From how tight to how loose, in words. @param tight hole less shaft at its least, mm @param loose at its most
 * @example writeSentence(looseToTight(-0.012, 0.002), 'mm') // 'from 0.002 mm loose to 0.012 mm tight'
 */
export const looseToTight = (tight: number, loose: number): Sentence =>
  loose <= 0
    ? say`${length(-loose, 0.001)} to ${length(-tight, 0.001)} tight`
    : tight >= 0
      ? say`${length(tight, 0.001)} to ${length(loose, 0.001)} loose`
      : say`from ${length(loose, 0.001)} loose to ${length(-tight, 0.001)} tight`;
