// Builds the page when a source is newer than the last build.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

const newest = (dir) =>
  readdirSync(dir, { withFileTypes: true }).reduce((latest, entry) => {
    if (entry.name === 'node_modules' || entry.name === 'dist') return latest;
    const path = join(dir, entry.name);
    return Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs);
  }, 0);

export function build() {
  const built = join(root, 'web', 'dist', 'index.html');
  const sources = Math.max(newest(join(root, 'web')), newest(join(root, 'core', 'src')), statSync(join(root, 'package-lock.json')).mtimeMs);
  if (existsSync(built) && statSync(built).mtimeMs > sources) return;
  const vite = join(root, 'node_modules', 'vite', 'bin', 'vite.js');
  const done = spawnSync(process.execPath, [vite, 'build', '--logLevel', 'warn'], {
    cwd: join(root, 'web'),
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  if (done.status === 0) return;
  // a page that was half built is not taken for one the next time
  rmSync(built, { force: true });
  process.exit(done.status || 1);
}
