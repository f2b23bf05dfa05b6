import { type Fault, faults, linesOf } from '@obra/core/practice';
import express, { type Express, type Request, type Response } from 'express';

/*
 * Simulated gauges with a data key, for trying and for tests: the same lines as a serial one sends, over the same origin. Off unless the server is started with
 * --instruments; they keep what they show in memory only.
 */

interface StandIn {
  readonly id: string;
  readonly name: string;
  readonly axes: readonly string[];
  /** mm, by axis */
  shows: Record<string, number>;
  fault: Fault;
  readonly listens: Set<Response>;
}

const make = (id: string, name: string, axes: readonly string[] = ['']): StandIn => ({
  id,
  name,
  axes,
  shows: Object.fromEntries(axes.map((a) => [a, 0])),
  fault: 'none',
  listens: new Set(),
});

/** Adds the stand-ins to the server. */
export function withStandIns(app: Express): void {
  const all = [
    make('micrometer', 'simulated micrometer'),
    make('caliper', 'simulated caliper'),
    make('bore-gauge', 'simulated bore gauge'),
    make('readout', 'simulated two-axis readout', ['X', 'Z']),
  ];
  const find = (request: Request) => all.find((s) => s.id === request.params['id']);
  const routes = express.Router();
  routes.get('/', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ instruments: all.map(({ id, name, axes }) => ({ id, name, axes })) });
  });
  // lines as they come, each as the serial one sends it
  routes.get('/:id/lines', (request, response) => {
    const one = find(request);
    if (!one) {
      response.status(404).json({ error: 'no such instrument' });
      return;
    }
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    });
    response.write(': here\n\n');
    one.listens.add(response);
    request.on('close', () => one.listens.delete(response));
  });
  routes.post('/:id', express.json({ limit: '2kb' }), (request, response) => {
    const one = find(request);
    if (!one) {
      response.status(404).json({ error: 'no such instrument' });
      return;
    }
    const { shows, fault, press, unplug } = (request.body ?? {}) as Record<string, unknown>;
    if (typeof shows === 'number' && Number.isFinite(shows)) one.shows = { ...one.shows, [one.axes[0] ?? '']: shows };
    if (typeof shows === 'object' && shows !== null)
      for (const [axis, mm] of Object.entries(shows))
        if (one.axes.includes(axis) && typeof mm === 'number' && Number.isFinite(mm)) one.shows[axis] = mm;
    const asked = faults.find((f) => f === fault);
    if (asked) one.fault = asked;
    if (press === true) for (const to of one.listens) for (const line of linesOf(one)) to.write(`data: ${JSON.stringify(`${line}\r\n`)}\n\n`);
    if (unplug === true) {
      for (const to of one.listens) to.end();
      one.listens.clear();
    }
    response.json({ heard: one.listens.size });
  });
  app.use('/api/instruments', routes);
}
