import { keptHere } from '../data/local';

const KEY = 'obra-reloaded-for';
/** A second failure within this long is not a newer build, ms. */
const AGAIN = 20_000;

/**
 * A part of the page that is loaded when it is first wanted. One that a newer build has removed is not there any more: the page is loaded anew, once,
 * and has the newer one; if it fails again soon after, the screen says so.
 */
export async function part<T>(load: () => Promise<T>, reload: () => void = () => location.reload()): Promise<T> {
  try {
    return await load();
  } catch (cause) {
    const before = Number(keptHere.get(KEY) ?? 0);
    if (Date.now() - before < AGAIN || !keptHere.set(KEY, String(Date.now()))) throw cause;
    reload();
    // nothing more is shown until the page is loaded anew
    return new Promise<T>(() => undefined);
  }
}
