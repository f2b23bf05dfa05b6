import { practice } from '../shop';
import type { Holding } from '../document';
import { lobes, squeezed } from '../mechanics';
import { figure, type Figure } from '../quantity';

/** Hard jaws touch in so many places; soft ones bored to the size, collets and bushes go all round. @source thin-wall, common practice */
const touches = new Set<Holding['kind']>(['threeJaw', 'fourJaw']);

/** The thinnest wall that is gripped, radii, and how much of it the jaws cover, mm. */
export interface GrippedWall {
  readonly outer: number;
  readonly inner: number;
  readonly long: number;
}

/** A ring so thin that jaws press it out of round. @source thin-wall, common practice */
export const isThin = ({ outer, inner }: Pick<GrippedWall, 'outer' | 'inner'>): boolean =>
  inner > 0 && outer - inner <= practice.thickWall * ((outer + inner) / 2);

/** How far jaws squeeze hollow work out of round, on radius, even lightly tightened; undefined for what nobody sees. @param modulus N/mm2 */
export function squeezeOf(holding: Holding, wall: GrippedWall, modulus: number): Figure | undefined {
  if (!touches.has(holding.kind) || !holding.jaw || holding.newtons === undefined || wall.inner <= 0) return undefined;
  const [t, R] = [wall.outer - wall.inner, (wall.outer + wall.inner) / 2];
  if (!isThin(wall) || !(wall.long > 0) || !(t > 0)) return undefined;
  const count = Math.max(2, holding.jaw.count);
  const out = figure(
    'length',
    'lobes',
    { W: (practice.lightGrip * holding.newtons) / count, R, t, b: wall.long, E: modulus, share: lobes(squeezed(count, 1, 1, 1)) },
    { step: 0.001 },
  );
  return out.value < practice.outOfRoundUnseen ? undefined : out;
}
