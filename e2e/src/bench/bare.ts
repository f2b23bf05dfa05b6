import react from '@vitejs/plugin-react';
import { join } from 'node:path';
import { build } from 'vite';
import { makeProfile, root, serve } from '../harness';
import { coldStart } from './page';
import { share } from './report';

/** The bare page of the same libraries, built and served as Obra is; @returns its median cold start, ms */
async function bareStart(): Promise<number> {
  const { dir, remove } = makeProfile();
  await build({
    root: join(root, 'e2e', 'bare'),
    configFile: false,
    logLevel: 'error',
    plugins: [react()],
    build: { outDir: dir, emptyOutDir: true, target: 'es2022' },
  });
  const server = await serve({ page: dir });
  const starts = await coldStart('a bare page of the same libraries', server.url, '#line');
  await server.stop();
  remove();
  return share(starts, 0.5);
}

/** Cold start of the first screen, beside that of a page that holds only the libraries it stands on. */
export async function coldBesideBare(url: string): Promise<void> {
  const own = share(await coldStart('cold start to first screen', url, '.samples button'), 0.5);
  const bare = await bareStart();
  console.log(`the first screen takes ${(own / bare).toFixed(2)} times as long as the bare page (aim 1.5), ${own.toFixed(0)} ms (aim 1000 ms)`);
}
