import type { Shop, Tool } from '../document';
import type { DrawnThread } from '../standards';
import { readExternalThread, readInternalThread } from '../standards';

/** A die or a tap of the shop that makes this thread: family, diameter and pitch; its class is its maker's. */
export function toolForThread(shop: Shop, kind: 'die' | 'tap', thread: DrawnThread | undefined): Tool | undefined {
  if (!thread) return undefined;
  return shop.tools.find((tool) => {
    if (tool.kind !== kind) return false;
    const read = kind === 'die' ? readExternalThread(tool.size?.text ?? '') : readInternalThread(tool.size?.text ?? '');
    if (!read?.ok) return false;
    const { family, nominal, pitch } = read.thread;
    return family === thread.family && Math.abs(nominal - thread.nominal) < 1e-6 && Math.abs(pitch - thread.pitch) < 1e-6;
  });
}
