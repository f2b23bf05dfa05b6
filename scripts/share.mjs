// How much of the code is tests, by lines that are not blank. Wanted 25 to 33 %; outside 22 to 36 % it fails.
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

export function share() {
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: root, encoding: 'utf8' }).split('\n');
  const lines = (chosen) =>
    chosen
      .filter((file) => existsSync(join(root, file)))
      .reduce(
        (sum, file) =>
          sum +
          readFileSync(join(root, file), 'utf8')
            .split('\n')
            .filter((line) => line.trim() !== '').length,
        0,
      );
  const code = files.filter((file) => /\.(ts|tsx|mjs|css)$/.test(file));
  const tests = code.filter((file) => /\.test\.tsx?$/.test(file) || file.startsWith('e2e/'));
  const [all, ofTests] = [lines(code), lines(tests)];
  const percent = (100 * ofTests) / all;
  const inside = percent >= 22 && percent <= 36;
  console.log(`${inside ? 'ok    ' : 'FAILED'} tests are ${percent.toFixed(1)} % of ${all} lines of code (wanted 25 to 33, allowed 22 to 36)`);
  return inside;
}
