// Prints what the app costs in time and size, all of it or the rooms named; measures, never judges.
// npm run bench [-- planner page]
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { ensureChromium } from './chromium.mjs';
import { root } from './root.mjs';

ensureChromium();
build();
// measured as it ships: bundled, not as the tests run it
const e2e = join(root, 'e2e');
const vite = join(root, 'node_modules', 'vite', 'bin', 'vite.js');
const run = (args, cwd) => {
  const { status } = spawnSync(process.execPath, args, { cwd, stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
};
run([vite, 'build', '--ssr', 'src/bench/index.ts', '--outDir', 'dist', '--logLevel', 'warn'], e2e);
const rooms = process.argv.slice(2);
run([join(e2e, 'dist', 'index.js'), ...rooms], root);
if (rooms.length > 0) process.exit(0);
// the long judged batches, whole: the tests try a quarter of them
const judges = 'planner/(generated|search|holesMade|featuresMade)|sizing/(estimate|trials)|bench/bothEnds';
const args = ['--selectProjects', 'core', '--testPathPatterns', judges, '--maxWorkers', '2', '--verbose'];
const { status } = spawnSync(process.execPath, [join(root, 'node_modules', 'jest', 'bin', 'jest.js'), ...args], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, JUDGES: 'all' },
});
if (status !== 0) process.exit(status ?? 1);
