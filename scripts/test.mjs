// Runs every suite: core, server and web in Node, then the journeys in a real browser against the built page.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { basename, join } from 'node:path';
import { build } from './build.mjs';
import { ensureChromium, journeysAtOnce } from './chromium.mjs';
import { root } from './root.mjs';

ensureChromium();
build();
const out = join(root, 'out');
mkdirSync(out, { recursive: true });
const only = process.argv.slice(2);
// Jest by itself leaves a core idle, which is half of a small machine
const workers = String(Math.max(1, availableParallelism()));
const suites = [
  { name: 'unit', args: ['--selectProjects', 'core', 'server', 'web', '--maxWorkers', workers] },
  // some journeys at a time in one browser; a killed one may leave a handle behind: the run ends when the journeys have
  { name: 'browser', args: ['--selectProjects', 'e2e', '--maxWorkers', String(journeysAtOnce()), '--forceExit'] },
];
const count = (results) => ({
  passed: results.reduce((sum, r) => sum + r.assertionResults.filter((a) => a.status === 'passed').length, 0),
  failed: results.reduce((sum, r) => sum + r.assertionResults.filter((a) => a.status === 'failed').length, 0),
});

/** Runs Jest once. `failed` is at least 1 for anything but a clean end. */
function run(name, given) {
  const file = join(out, `${name}.json`);
  rmSync(file, { force: true });
  const args = [join(root, 'node_modules', 'jest', 'bin', 'jest.js'), ...given, '--passWithNoTests', '--json', '--outputFile', file];
  const done = spawnSync(process.execPath, args, { cwd: root, stdio: ['ignore', 'ignore', 'inherit'], timeout: 90 * 60_000 });
  const results = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')).testResults : [];
  const broken = results.filter((r) => r.status === 'failed');
  const whole = count(results);
  const failed = Math.max(whole.failed, broken.length, done.status === 0 ? 0 : 1);
  return { passed: whole.passed, failed, broken, sound: count(results.filter((r) => r.status !== 'failed')).passed };
}

let [passed, failed] = [0, 0];
for (const suite of suites) {
  let result = run(suite.name, [...suite.args, ...only]);
  if (suite.name === 'browser' && result.broken.length > 0) {
    // a busy machine can starve a browser: a journey that failed gets one second try alone, and it is said which
    const files = result.broken.map((r) => r.name);
    console.log(`second try: ${files.map((name) => basename(name)).join(', ')}`);
    const again = run('browser-again', ['--selectProjects', 'e2e', '--runInBand', '--forceExit', '--runTestsByPath', ...files]);
    result = { passed: result.sound + again.passed, failed: again.failed };
  }
  passed += result.passed;
  failed += result.failed;
}
console.log(`${String(passed)} passed, ${String(failed)} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
