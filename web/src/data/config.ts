import { wantsDemo } from './store';

let prepared: () => void;
/** Done when it is known whether there is a demo, and it has come in. */
export const whenPrepared = new Promise<void>((resolve) => {
  prepared = resolve;
});

/** A demo server fills an empty store, or one that it had begun to fill: true when it did. A store that holds something else is not asked about. Without a server the page works all the same. */
export async function prepare(): Promise<boolean> {
  try {
    return (await wantsDemo()) && (await (await import('./demoIn')).demoIn());
  } catch {
    // offline, or opened without its server: the store is used as it is
    return false;
  } finally {
    prepared();
  }
}
