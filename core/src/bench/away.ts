import type { Entry } from '../document';
import { cooledTo, coolingConstant, SHEDS } from '../mechanics';
import { REFERENCE } from '../quantity';
import { warmthOf } from '../shop';
import { materialOf } from '../standards';

/** Minutes after which what stands in the lathe is felt and measured anew. @source cold-after-a-break, common practice */
const BREAK = 60;

/** How long nothing was written down of a size that was begun, and what its piece is now. */
export interface Away {
  readonly minutes: number;
  /** degrees C a piece that was warm may be now: bright and dull; none where it was cold */
  readonly warm?: readonly [bright: number, dull: number];
}

/**
 * Whether a size in hand was left alone for an hour or more: the piece has cooled, or not quite, and the edge has lost its zero. Undefined where it was not, where nothing
 * was cut or read yet, and where the clock was set back.
 * @param live what was written down at this step for this piece
 * @param across mm, of a bar that cools through its outside
 * @param now milliseconds, as `Date.now()`
 * @source cold-after-a-break, common practice; cooling by lumped capacity: any textbook of heat transfer
 */
export function awayFor(live: readonly Entry[], material: string, across: number, now: number): Away | undefined {
  const last = live.findLast((e) => e.kind === 'reading' || e.kind === 'cut');
  if (!last) return undefined;
  const minutes = (now - Date.parse(last.at)) / 60_000;
  if (!(minutes >= BREAK)) return undefined;
  const read = live.findLast((e) => e.kind === 'reading');
  const room = (read?.kind === 'reading' ? read.room : undefined) ?? REFERENCE;
  const was = read?.kind === 'reading' ? warmthOf(read) : room;
  const { density, heat } = materialOf(material);
  const after = (sheds: number) => cooledTo(was, room, coolingConstant({ volume: across, area: 4, density, heat }, sheds), minutes * 60);
  const warm: readonly [number, number] = [after(SHEDS.bright), after(SHEDS.dull)];
  return { minutes, ...(warm[0] >= room + 2 && { warm }) };
}
