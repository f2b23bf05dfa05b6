// Prints what the app costs in time and size; measures, never judges.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { ensureChromium } from './chromium.mjs';
import { root } from './root.mjs';

ensureChromium();
build();
const done = spawnSync(process.execPath, ['--import', 'tsx', join(root, 'e2e', 'src', 'bench.ts')], { cwd: root, stdio: 'inherit' });
process.exit(done.status ?? 1);
