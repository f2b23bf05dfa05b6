// Builds when needed, then serves; with --demo the sample shop and jobs are offered to an empty store.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { root } from './root.mjs';

build();
const server = spawn(process.execPath, ['--import', 'tsx', join(root, 'server', 'src', 'main.ts'), ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => server.kill('SIGTERM'));
server.on('exit', (code) => process.exit(code ?? 0));
