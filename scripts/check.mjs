// Everything that reads the code without running it: formatting, types, lint with the import boundaries, dead code, share of tests.
import { spawnSync } from 'node:child_process';
import { apiAsListed } from './api.mjs';
import { roomsAsDrawn } from './rooms.mjs';
import { root } from './root.mjs';
import { share } from './share.mjs';

const steps = [
  ['formatting', 'prettier', ['--check', '--log-level', 'warn', '.']],
  ['types', 'npm', ['run', '-s', 'types']],
  ['lint', 'eslint', ['.', '--cache', '--max-warnings', '0']],
  ['circles', 'dependency-cruiser', ['core/src', 'web/src', 'server/src', '--output-type', 'err']],
  ['dead code', 'knip', []],
];
let failed = 0;
for (const [name, command, args] of steps) {
  const done =
    command === 'npm'
      ? spawnSync('npm', args, { cwd: root, stdio: 'inherit', shell: process.platform === 'win32' })
      : spawnSync(process.execPath, [`node_modules/${bin(command)}`, ...args], { cwd: root, stdio: 'inherit' });
  console.log(`${done.status === 0 ? 'ok    ' : 'FAILED'} ${name}`);
  if (done.status !== 0) failed++;
}
for (const [name, listed] of [
  ['core/api.md', apiAsListed()],
  ['the picture of the rooms', roomsAsDrawn()],
]) {
  console.log(`${listed ? 'ok    ' : 'FAILED'} ${name}${listed ? '' : ': npm run api, and look at what changed'}`);
  if (!listed) failed++;
}
if (!share()) failed++;
process.exit(failed === 0 ? 0 : 1);

function bin(command) {
  return {
    prettier: 'prettier/bin/prettier.cjs',
    eslint: 'eslint/bin/eslint.js',
    knip: 'knip/bin/knip.js',
    'dependency-cruiser': 'dependency-cruiser/bin/dependency-cruise.mjs',
  }[command];
}
