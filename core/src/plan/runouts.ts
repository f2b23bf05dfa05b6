import type { Holding } from '../document';
import type { Part } from '../drawing';
import { partsOf, runoutOf, SAME_CHUCKING } from '../holding';
import { figure } from '../quantity';
import { type Route, toKeep } from '../route';
import type { Layout } from './layouts';

/** How true each relation of the drawing comes out: turned in one chucking, or across a turning round in this holding. */
export function runoutsOf(part: Part, { first, reach }: Layout, turned: Holding | undefined): Route['runouts'] {
  const across = new Set(toKeep(part, first, reach).map((r) => r.id));
  return part.relations
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
