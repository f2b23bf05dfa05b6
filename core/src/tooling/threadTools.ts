import { alike } from '../quantity';
import type { Shop, Tool } from '../document';
import { mmOf } from '../shop';
import { type DrawnThread, flankHalf, readExternalThread, readInternalThread } from '../standards';

/** A die or a tap of the shop that makes this thread: family, diameter and pitch; its class is its maker's. */
export function toolForThread(shop: Shop, kind: 'die' | 'tap', thread: DrawnThread | undefined): Tool | undefined {
  if (!thread) return undefined;
  return shop.tools.find((tool) => {
    if (tool.kind !== kind) return false;
    const read = kind === 'die' ? readExternalThread(tool.size?.text ?? '') : readInternalThread(tool.size?.text ?? '');
    if (!read?.ok) return false;
    const { family, nominal, pitch } = read.thread;
    return family === thread.family && alike(nominal, thread.nominal) && alike(pitch, thread.pitch);
  });
}

/** A threading tool that is ground to the angle of a thread. */
export const cuts = (tool: Tool, thread: DrawnThread): boolean => Math.abs(mmOf(tool.angle, 60) - 2 * flankHalf(thread.family)) < 0.6;

/** Threading bars of the shop for an inside thread: those with a shank, the stoutest first. */
export const insideBars = (shop: Shop, thread: DrawnThread): readonly Tool[] =>
  shop.tools.filter((t) => t.kind === 'thread' && t.shank !== undefined && cuts(t, thread)).toSorted((a, b) => mmOf(b.shank) - mmOf(a.shank));
