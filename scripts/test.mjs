// Runs every suite: core, server and web in Node, then the journeys in a real browser against the built page.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { ensureChromium } from './chromium.mjs';
import { root } from './root.mjs';

ensureChromium();
build();
const out = join(root, 'out');
mkdirSync(out, { recursive: true });
const only = process.argv.slice(2);
const suites = [
  { name: 'unit', args: ['--selectProjects', 'core', 'server', 'web'] },
  // a killed browser may leave a handle behind: the run ends when the journeys have
  { name: 'browser', args: ['--selectProjects', 'e2e', '--runInBand', '--forceExit'] },
];
let [passed, failed] = [0, 0];
for (const suite of suites) {
  const file = join(out, `${suite.name}.json`);
  rmSync(file, { force: true });
  const args = [join(root, 'node_modules', 'jest', 'bin', 'jest.js'), ...suite.args, '--passWithNoTests', '--json', '--outputFile', file, ...only];
  const done = spawnSync(process.execPath, args, { cwd: root, stdio: ['ignore', 'ignore', 'inherit'], timeout: 20 * 60_000 });
  const result = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
  passed += result?.numPassedTests ?? 0;
  const broken = (result?.numFailedTests ?? 0) + (result?.numRuntimeErrorTestSuites ?? 0);
  failed += broken === 0 && done.status !== 0 ? 1 : broken;
}
console.log(`${String(passed)} passed, ${String(failed)} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
