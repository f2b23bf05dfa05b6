import type { Holding } from '../document';
import { partsOf, runoutOf, SAME_CHUCKING } from '../holding';
import { figure } from '../quantity';
import { type Context, type Reach, type Route, toKeep } from '../route';

/** How true each relation of the drawing comes out: turned in one chucking, or across a turning round in this holding. */
export function runoutsOf(ctx: Context, reach: Reach, turned: Holding | undefined): Route['runouts'] {
  const across = new Set(toKeep(ctx, reach).map((r) => r.id));
  return ctx.part.relations
    .filter((r) => r.kind === 'runout' || r.kind === 'concentric')
    .map((r) => {
      const oneChucking = !across.has(r.id);
      const { expected, within } = runoutOf(oneChucking || !turned ? [{ words: 'spindle and cut', tir: SAME_CHUCKING }] : partsOf(turned));
      return {
        relation: r.id,
        oneChucking,
        limit: figure('length', 'distance', { value: r.limits.max }, { step: 0.001 }),
        expected,
        chance: within(r.limits.max),
      };
    });
}
