import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { makeApp } from './app';
import { linesOf } from '@obra/core/practice';

const micrometer = { axes: [''], shows: { '': 25.306 } };

describe('what a data key sends', () => {
  it.each([
    ['none', ['25.306 mm']],
    ['unit', ['0.99630 in']],
    ['dropped', ['25306 mm']],
    ['silence', []],
  ] as const)('%s', (fault, lines) => {
    expect(linesOf({ ...micrometer, fault })).toEqual(lines);
  });

  it('noise is garbage before the line, a flood the same line hundreds of times', () => {
    expect(linesOf({ ...micrometer, fault: 'noise' }).at(-1)).toBe('25.306 mm');
    expect(linesOf({ ...micrometer, fault: 'flood' })).toHaveLength(400);
  });

  it('a readout sends a line for each axis', () => {
    expect(linesOf({ axes: ['X', 'Z'], shows: { X: 24.62, Z: -3.2 }, fault: 'none' })).toEqual(['X 24.620 mm', 'Z -3.200 mm']);
  });
});

describe('over the same origin', () => {
  const servers: Server[] = [];
  const serve = async (instruments: boolean) => {
    const server = createServer(makeApp({ web: tmpdir(), instruments, version: '0' }));
    servers.push(server);
    await new Promise<void>((resolve) => server.listen(0, resolve));
    return `http://localhost:${String((server.address() as AddressInfo).port)}`;
  };
  afterAll(() => {
    for (const server of servers) {
      server.closeAllConnections();
      server.close();
    }
  });

  it('they are there only where they were asked for', async () => {
    const [off, on] = await Promise.all([serve(false), serve(true)]);
    expect((await fetch(`${off}/api/instruments`)).status).toBe(404);
    const listed = (await (await fetch(`${on}/api/instruments`)).json()) as { instruments: { id: string }[] };
    expect(listed.instruments.map((i) => i.id)).toEqual(['micrometer', 'caliper', 'bore-gauge', 'readout']);
    expect((await fetch(`${on}/api/instruments/other/lines`)).status).toBe(404);
  });

  it('a press is heard as a line by who listens, and what is no number is let be', async () => {
    const url = await serve(true);
    const lines = await fetch(`${url}/api/instruments/micrometer/lines`);
    const reader = lines.body?.getReader();
    await reader?.read();
    const post = async (body: object) =>
      (
        await fetch(`${url}/api/instruments/micrometer`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        })
      ).json();
    await post({ shows: 'x' });
    expect(await post({ shows: 19.626, press: true })).toEqual({ heard: 1 });
    const chunk = await reader?.read();
    expect(new TextDecoder().decode(chunk?.value as Uint8Array | undefined)).toContain('19.626 mm');
    await post({ unplug: true });
    expect((await reader?.read())?.done).toBe(true);
  });
});
