import { alike, atLeast, atMost, PLACE } from '../quantity';
import type { Shop, Tool } from '../document';
import { mmOf, practice } from '../shop';
import { type DrawnThread, flankHalf, readExternalThread, readInternalThread } from '../standards';

/** A die or a tap of the shop that makes this thread: family, diameter and pitch; its class is its maker's. */
export function toolForThread(shop: Shop, kind: 'die' | 'tap', thread: DrawnThread | undefined): Tool | undefined {
  if (!thread) return undefined;
  return shop.tools.find((tool) => {
    const made = tool.kind === kind ? makes(tool, kind) : undefined;
    return made?.family === thread.family && alike(made.nominal, thread.nominal) && alike(made.pitch, thread.pitch);
  });
}

const known = new WeakMap<Tool, DrawnThread | 'none'>();

/** The thread that a die or a tap is called by. */
function makes(tool: Tool, kind: 'die' | 'tap'): DrawnThread | undefined {
  const before = known.get(tool);
  if (before) return before === 'none' ? undefined : before;
  const name = tool.size?.text ?? '';
  // a die of a pipe thread is called without the class that its drawing has
  const read = kind === 'die' ? [readExternalThread(name), readExternalThread(`${name} A`)].find((r) => r?.ok) : readInternalThread(name);
  const thread = read?.ok ? read.thread : undefined;
  known.set(tool, thread ?? 'none');
  return thread;
}

/** A threading tool that is ground to the angle of a thread. */
export const cuts = (tool: Tool, thread: DrawnThread): boolean => Math.abs(mmOf(tool.angle, 60) - 2 * flankHalf(thread.family)) < 0.6;

/**
 * Threading bars of the shop for an inside thread that go into its core and reach its end, the stoutest first: with a shank, room to draw clear by the depth of the
 * thread. @param deep mm from the face @source bar-enters, common practice
 */
export const insideBars = (shop: Shop, thread: DrawnThread, core: number, deep: number): readonly Tool[] =>
  shop.tools
    .filter(
      (t) =>
        t.kind === 'thread' &&
        t.shank !== undefined &&
        cuts(t, thread) &&
        atMost(mmOf(t.shank), Math.min(practice.threadBarEnters * core, core - Math.abs(thread.root - thread.crest)), PLACE) &&
        atMost(mmOf(t.least), core, PLACE) &&
        atLeast(mmOf(t.reach, Infinity), deep, PLACE),
    )
    .toSorted((a, b) => mmOf(b.shank) - mmOf(a.shank));
