import * as z from 'zod';
import { holdsSomething } from './store';

const Config = z.object({ demo: z.boolean(), version: z.string() });
const Listing = z.object({ files: z.array(z.string()) });

let prepared: () => void;
/** Done when it is known whether there is a demo, and it has come in. */
export const whenPrepared = new Promise<void>((resolve) => {
  prepared = resolve;
});

/**
 * Asks how the server was started; a demo server fills an empty store: true when it did. A store that holds something is not
 * asked about. Without a server the page works all the same.
 */
export async function prepare(): Promise<boolean> {
  try {
    if (await holdsSomething()) return false;
    const config = Config.parse(await (await fetch('/api/config')).json());
    if (!config.demo) return false;
    const { files } = Listing.parse(await (await fetch('/api/demo')).json());
    const raws: unknown[] = await Promise.all(files.map(async (file) => (await fetch(file)).json() as Promise<unknown>));
    const { seedDemo } = await import('./jobs');
    await seedDemo(raws);
    return true;
  } catch {
    // offline, or opened without its server: the store is used as it is
    return false;
  } finally {
    prepared();
  }
}
