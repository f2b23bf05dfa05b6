import { type Grip, JAWS_LOSE } from '../cutting';
import type { Holding } from '../document';

/** What a holding grips with on this diameter; undefined where its force is not known. Collets and bushes keep their grip at speed. */
export function gripOf(holding: Holding, diameter: number): Grip | undefined {
  if (holding.newtons === undefined || !(diameter > 0)) return undefined;
  const closed = holding.kind === 'collet' || holding.kind === 'softCollet' || holding.kind === 'splitBush' || holding.kind === 'arbor';
  return { newtons: holding.newtons, diameter, loses: closed ? 0 : JAWS_LOSE, mostSpeed: holding.maxSpeed };
}
