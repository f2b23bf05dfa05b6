// Finds Chromium for the browser tests; on Debian it is installed by apt when absent.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

export function ensureChromium() {
  const found = places.find((path) => existsSync(path));
  if (found) return found;
  console.log('no Chromium: installing it by apt');
  const apt = (...args) =>
    spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  apt('update');
  apt('install', '-y', '--no-install-recommends', 'chromium');
  const now = places.find((path) => existsSync(path));
  if (!now) throw new Error('Chromium could not be installed; install it by hand (apt-get install chromium) and run the tests again');
  return now;
}
