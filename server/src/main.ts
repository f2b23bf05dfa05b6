import { createServer, type Server } from 'node:http';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { makeApp } from './app';

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
// with --demo a bench of work in all states; with --demo-drawn its drawn jobs alone
const whole = process.argv.includes('--demo');
const demo = whole || process.argv.includes('--demo-drawn') ? { demo: [join(root, 'demo'), ...(whole ? [join(root, 'demo', 'at-work')] : [])] } : {};
// another page in its place: what the bench compares with
const other = process.argv[process.argv.indexOf('--page') + 1];
const web = process.argv.includes('--page') && other !== undefined ? other : join(root, 'web', 'dist');
const app = makeApp({ web, ...demo, instruments: process.argv.includes('--instruments'), version });

/** Listens on the wanted port, or on the next free one of the twenty after it. */
function listen(port: number, last: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = createServer(app);
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE' && port < last) resolve(listen(port + 1, last));
      else reject(error);
    });
    server.listen(port, () => resolve(server));
  });
}

/** Ends with one sentence; nothing listens yet. */
function refuse(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

const asked = process.env['PORT'] ?? '4173';
const wanted = /^\d{1,5}$/.test(asked.trim()) ? Number(asked) : NaN;
if (!(wanted >= 0 && wanted <= 65535)) refuse(`PORT is “${asked}”; it wants a number from 0 to 65535.`);
const last = wanted === 0 ? 0 : Math.min(wanted + 20, 65535);
const server = await listen(wanted, last).catch((cause: unknown) => {
  const { code } = cause as NodeJS.ErrnoException;
  return refuse(
    code === 'EADDRINUSE'
      ? `Ports ${String(wanted)} to ${String(last)} are all taken; give another with PORT.`
      : code === 'EACCES'
        ? `Port ${String(wanted)} may not be used here; give another with PORT.`
        : `The server could not listen on port ${String(wanted)} (${code ?? 'unknown'}).`,
  );
});
const address = server.address();
console.log(`Obra is at http://localhost:${String(typeof address === 'object' && address ? address.port : wanted)}/`);

for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  });
}
