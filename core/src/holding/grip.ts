import { type Grip, JAWS_LOSE } from '../cutting';
import type { Holding } from '../document';
import { practice } from '../shop';

/**
 * What a holding grips with on this diameter; undefined where its force is not known. Collets and bushes keep their grip at speed; hard jaws bite into a surface that is
 * still to be turned away.
 * @param finished the surface is: padded, or closed on without biting
 */
export function gripOf(holding: Holding, diameter: number, finished: boolean): Grip | undefined {
  if (holding.newtons === undefined || !(diameter > 0)) return undefined;
  const closed = holding.kind === 'collet' || holding.kind === 'softCollet' || holding.kind === 'splitBush' || holding.kind === 'arbor';
  return {
    newtons: holding.newtons,
    diameter,
    loses: closed ? 0 : JAWS_LOSE,
    mostSpeed: holding.maxSpeed,
    friction: holding.marks && !finished ? practice.frictionBites : practice.friction,
  };
}
