import { exceeds, say, type Sentence, tidy } from '../quantity';
import type { LookedUp } from './fits';
import { materialOf } from './materials';
import type { Thread } from './thread';
import { threadLimits } from './threads';

export interface DieBlank {
  readonly thread: Thread;
  /** what the blank is turned to, mm, and how far under the nominal that is, in pitches */
  readonly diameter: number;
  readonly under: number;
  /** a chamfer to below the root, so that the die starts: its small end, mm */
  readonly chamfer: number;
  readonly why: Sentence;
}

/** Stock whose crest a die does not raise: it crumbles. */
const shortChipped: readonly string[] = ['brass', 'grey-iron', 'bronze'];

/**
 * Blank for a thread that a die cuts, mm: 0.1 pitch under in stock that flows, 0.05 in brass, bronze and iron; never under the least major diameter of the class.
 * @source die, common practice: 0.1 pitch under for steel
 * @example dieBlank('M12').ok // true
 */
export function dieBlank(designation: string, material = 'mild-steel'): LookedUp<DieBlank> {
  const thread = threadLimits(designation);
  if (!thread.ok) return thread;
  if (thread.internal) return { ok: false, says: say`a die cuts an outside thread; “${designation.trim()}” is one of a nut`, nearest: [] };
  if (thread.family === 'trapezoidal' || thread.family === 'acme')
    return { ok: false, says: say`${thread.designation} is cut with a tool, not a die`, nearest: [] };
  const { nominal, pitch, major, basic } = thread;
  const share = shortChipped.includes(material) ? 0.05 : 0.1;
  const wanted = nominal - share * pitch;
  const diameter = tidy(Math.max(wanted, major.min ?? wanted));
  const root = basic.minor ?? nominal - 1.2 * pitch;
  return {
    ok: true,
    thread,
    diameter,
    under: (nominal - diameter) / pitch,
    chamfer: tidy(root - 0.1 * pitch),
    why: exceeds(diameter, wanted)
      ? say`held at the least major diameter of the class: further under is out of limits`
      : say`${materialOf(material).name} ${share === 0.1 ? 'is squeezed outwards by a die' : 'hardly grows under a die'}: ${share} of the pitch under`,
  };
}
