import * as z from 'zod';

const Config = z.object({ demo: z.boolean(), version: z.string() });
const Listing = z.object({ files: z.array(z.string()) });

/** Asks how the server was started, and takes the demo in where it has one; true when it did. */
export async function demoIn(): Promise<boolean> {
  const config = Config.parse(await (await fetch('/api/config')).json());
  if (!config.demo) return false;
  const { files } = Listing.parse(await (await fetch('/api/demo')).json());
  const raws: unknown[] = await Promise.all(files.map(async (file) => (await fetch(file)).json() as Promise<unknown>));
  const { seedDemo } = await import('./jobs');
  await seedDemo(raws);
  return true;
}
