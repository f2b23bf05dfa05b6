import { type DxfAsked, readingDxf } from '@obra/core/exchange';
import * as Comlink from 'comlink';

const reader = {
  /** Reads a DXF and says how far it is; it is stopped by ending the worker. */
  read(text: string, asked: DxfAsked, report: (done: number, total: number) => void): ReturnType<ReturnType<typeof readingDxf>['next']>['value'] {
    const reading = readingDxf(text, asked);
    for (;;) {
      const next = reading.next();
      if (next.done === true) return next.value;
      report(next.value.done, next.value.total);
    }
  },
};

export type DxfReader = typeof reader;
Comlink.expose(reader);
