import { midShop, readoutShop, startingShop } from '@obra/core/shop';
import { drawnJob, drawnWithHoles, wrongLengths } from '../../../core/src/planner/setLengths.fixture';
import fc from 'fast-check';

/** Of so many drawn parts with holes, in three shops: how many are told a length outside what it may be, or not where the metal ends. */
export function lengthsSet(parts: number): void {
  const shops = [midShop(), startingShop(), readoutShop()];
  const wrong = fc.sample(drawnWithHoles, { numRuns: parts, seed: 16 }).filter((drawn) => {
    const shop = shops[drawn.shop];
    return shop !== undefined && wrongLengths(drawnJob(drawn), shop).length > 0;
  });
  console.log(`\nlengths: ${String(parts)} drawn parts, both ends, three shops: ${String(wrong.length)} with one set wrong (aim 0)`);
}
