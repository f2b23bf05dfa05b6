import { type Entry, liveEntries, type Shop } from '../document';
import type { Characteristic, Part } from '../drawing';
import { inspect, type Verdict } from '../inspection';
import type { Verb } from '../operations';
import { rowOf } from '../ref';
import type { Setup } from '../settings';

/** A size that is finished in a holding, as it stands before the piece leaves it. */
export interface Release {
  readonly size: Characteristic;
  /** absent where nothing was measured */
  readonly verdict?: Verdict;
  /** what a gauge or mate said, where a size is tried and not measured */
  readonly feel?: string;
  /** no limits of its own: measured where somebody wants to */
  readonly plain?: true;
}

const finishes: readonly Verb[] = ['finish-turn', 'polish', 'bore', 'ream', 'drill', 'tap', 'thread', 'die', 'taper', 'groove', 'neck'];

/** The sizes that were finished in a setup, with what is known of them; by-eye sizes are left alone. @source release-check, common practice */
export function releaseOf(setup: Setup, part: Part, shop: Shop, log: readonly Entry[], piece: number): readonly Release[] {
  const live = liveEntries(log).filter((e) => e.piece === piece);
  const verdicts = inspect(part, shop, live);
  const rows = new Set(setup.steps.filter((s) => finishes.includes(s.verb)).map((s) => rowOf(s.id)));
  const whole = setup.steps.some((s) => s.verb === 'face' && s.figures['to'] !== undefined);
  const outside = part.features.filter((f) => f.side === 'outside');
  const inmost = (setup.end === 'left' ? outside[0] : outside.at(-1))?.id;
  return part.characteristics
    .filter((c) => c.care !== 'byEye' && c.is !== 'finish' && c.is !== 'angle')
    .filter((c) => {
      if (c.id === 'overall') return whole;
      if (!rows.has(c.of)) return false;
      // the row at the headstock ends where the piece is not yet cut off or faced
      return c.is === 'diameter' || c.is === 'thread' || (c.is === 'length' && c.relation === undefined && c.of !== inmost);
    })
    .map((size): Release => {
      const verdict = verdicts.find((v) => v.of === size.id);
      const feel = live.findLast((e) => e.kind === 'trial' && e.mate === size.id.replace('.', '-'));
      return {
        size,
        ...(size.limits?.from === 'general' && { plain: true }),
        ...(verdict && { verdict }),
        ...(feel?.kind === 'trial' && { feel: feel.feel }),
      };
    });
}
