import type { DxfAsked, readDxf } from '@obra/core/exchange';
import * as Comlink from 'comlink';
import type { DxfReader } from './dxf.worker';

export type DxfAnswer = ReturnType<typeof readDxf>;

export interface Stoppable {
  readonly answer: Promise<DxfAnswer>;
  readonly stop: () => void;
}

/** Reads a DXF in a worker of its own, which ends with the answer or when it is stopped. */
export function readingOf(text: string, asked: DxfAsked, report: (done: number, total: number) => void): Stoppable {
  const worker = new Worker(new URL('./dxf.worker.ts', import.meta.url), { type: 'module' });
  const answer = Comlink.wrap<DxfReader>(worker).read(text, asked, Comlink.proxy(report)) as Promise<DxfAnswer>;
  const stop = () => worker.terminate();
  void answer.then(stop, stop);
  return { answer, stop };
}
