import type { Running } from './harness';

/** Once after all journeys: ends what `start` began. */
export default async function stop(): Promise<void> {
  const running = (globalThis as { obra?: Running }).obra;
  await running?.browser.close();
  for (const server of running?.servers ?? []) await server.stop();
}
