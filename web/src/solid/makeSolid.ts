import type { Corner, Part, Triangle } from '@obra/core/drawing';
import * as Comlink from 'comlink';
import type { Cut, Section } from './cutOut';
import type { SolidMaker } from './solid.worker';

let maker: Comlink.Remote<SolidMaker> | undefined;

/** The solid with what is cut out of it, from a worker of its own. */
export async function makeSolid(part: Part, section: Section): Promise<Cut> {
  maker ??= Comlink.wrap<SolidMaker>(new Worker(new URL('./solid.worker.ts', import.meta.url), { type: 'module' }));
  return maker.cut(part, section);
}

/** The same whole, as the triangles of a file. */
export async function solidTriangles(part: Part): Promise<readonly Triangle[]> {
  const { corners } = await makeSolid(part, 'whole');
  const at = (i: number): Corner => [corners[i] ?? 0, corners[i + 1] ?? 0, corners[i + 2] ?? 0];
  return Array.from({ length: corners.length / 9 }, (_, k): Triangle => [at(9 * k), at(9 * k + 3), at(9 * k + 6)]);
}
