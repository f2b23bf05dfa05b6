// Takes the pictures of docs/screenshots anew, from the demo.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { ensureChromium } from './chromium.mjs';
import { root } from './root.mjs';

ensureChromium();
build();
const done = spawnSync(process.execPath, ['--import', 'tsx', join(root, 'e2e', 'src', 'shots.ts')], { cwd: root, stdio: 'inherit' });
process.exit(done.status ?? 1);
