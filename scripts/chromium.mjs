// Finds Chromium for the browser tests; on Debian it is installed by apt when absent. Its headless shell, the same engine without windows, halves the work of a
// journey; where there is none the whole browser does.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];
const shell = '/usr/bin/chromium-headless-shell';

export function ensureChromium() {
  const found = () => places.find((path) => existsSync(path));
  const lacking = [...(found() ? [] : ['chromium']), ...(existsSync(shell) ? [] : ['chromium-headless-shell'])];
  if (lacking.length > 0 && existsSync('/usr/bin/apt-get')) {
    console.log(`not here: ${lacking.join(', ')}; installing by apt`);
    const apt = (...args) =>
      spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
    apt('update');
    // one by one: a Debian without the shell still gets its Chromium
    for (const name of lacking) apt('install', '-y', '--no-install-recommends', name);
  }
  const now = found();
  if (!now) throw new Error('Chromium could not be installed; install it by hand (apt-get install chromium) and run the tests again');
  return now;
}

/** How many journeys at a time: more where each asks less. */
export const journeysAtOnce = () => (existsSync(shell) ? 3 : 2);
