import { createServer, type Server } from 'node:http';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { makeApp } from './app';

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
const demo = process.argv.includes('--demo') ? { demo: join(root, 'demo') } : {};
const app = makeApp({ web: join(root, 'web', 'dist'), ...demo, version });

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

const wanted = Number(process.env['PORT'] ?? 4173);
const server = await listen(wanted, wanted === 0 ? 0 : wanted + 20);
const address = server.address();
console.log(`Obra is at http://localhost:${String(typeof address === 'object' && address ? address.port : wanted)}/`);

for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  });
}
