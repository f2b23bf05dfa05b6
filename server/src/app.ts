import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { withStandIns } from './standIns';

export interface Options {
  /** folder of the built page */
  readonly web: string;
  /** folders of demo files, offered only when given */
  readonly demo?: readonly string[];
  /** simulated gauges are offered */
  readonly instruments?: boolean;
  readonly version: string;
}

/** The whole server: it serves the built app, says how it was started, and keeps no state. */
export function makeApp(options: Options): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          frameAncestors: ["'none'"],
          formAction: ["'self'"],
        },
      },
      // served over plain HTTP inside a workshop: a browser told to insist on HTTPS could not come back
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use(compression());
  app.get('/healthz', (_request, response) => response.set('Cache-Control', 'no-store').json({ ok: true, version: options.version }));
  app.get('/api/config', (_request, response) =>
    response
      .set('Cache-Control', 'no-store')
      .json({ demo: options.demo !== undefined, version: options.version, instruments: options.instruments === true }),
  );
  app.get('/api/demo', (_request, response) => {
    const files = (options.demo ?? [])
      .filter((folder) => existsSync(folder))
      .flatMap((folder) =>
        readdirSync(folder)
          .filter((name) => name.endsWith('.json'))
          .sort(),
      );
    response.set('Cache-Control', 'no-store').json({ files: files.map((name) => `/api/demo/${name}`) });
  });
  for (const folder of options.demo ?? []) app.use('/api/demo', express.static(folder, { index: false, cacheControl: false }));
  if (options.instruments === true) withStandIns(app);
  app.use('/api', (_request, response) => response.status(404).json({ error: 'nothing here' }));
  app.use('/assets', express.static(join(options.web, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }));
  app.use(express.static(options.web, { index: false, setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache') }));
  // the opening page stands as markup in a page of its own
  const opening = join(options.web, existsSync(join(options.web, 'opening.html')) ? 'opening.html' : 'index.html');
  app.get('/', (_request, response) => response.set('Cache-Control', 'no-cache').sendFile(opening));
  app.get('/{*path}', (request, response) => {
    if (/\.[a-z0-9]+$/i.test(request.path)) {
      response.status(404).type('text').send('not found');
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(join(options.web, 'index.html'));
  });
  // what goes wrong is said without a path or a stack
  app.use((error: unknown, _request: Request, response: Response, next: NextFunction) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const status = typeof error === 'object' && error !== null && 'status' in error && typeof error.status === 'number' ? error.status : 500;
    response
      .status(status)
      .type('text')
      .send(status === 404 ? 'not found' : status < 500 ? 'this address cannot be read' : 'the server could not answer');
  });
  return app;
}
