// npm run keep: writes the kept answers anew (routes, advice), after a change that was meant. Read the difference before it is committed.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './root.mjs';

const args = ['--selectProjects', 'core', '--testPathPatterns', 'planner/routes\\.test|advice\\.kept'];
const { status } = spawnSync(process.execPath, [join(root, 'node_modules', 'jest', 'bin', 'jest.js'), ...args], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, KEEP: 'all' },
});
process.exit(status ?? 1);
