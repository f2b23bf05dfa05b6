import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './harness';

/** Every job of the demo with its pieces, as the files have them. */
export const demoJobs: readonly { readonly id: string; readonly pieces: number }[] = ['', 'at-work'].flatMap((folder) =>
  readdirSync(join(root, 'demo', folder))
    .filter((name) => name.endsWith('.json') && name !== 'shop.json')
    .map((name) => {
      const { id, job } = JSON.parse(readFileSync(join(root, 'demo', folder, name), 'utf8')) as { id: string; job: { pieces: number } };
      return { id, pieces: job.pieces };
    }),
);
