import { browse, type Running, serve } from './harness';

/** Once before all journeys: one browser, one server with the demo and one with an empty store. */
export default async function start(): Promise<void> {
  const [browser, demo, empty] = await Promise.all([browse(), serve({ demo: true }), serve()]);
  process.env['OBRA_BROWSER'] = browser.wsEndpoint();
  process.env['OBRA_DEMO'] = demo.url;
  process.env['OBRA_EMPTY'] = empty.url;
  (globalThis as { obra?: Running }).obra = { browser, servers: [demo, empty] };
}
