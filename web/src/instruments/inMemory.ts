import type { Source } from './instruments';

/** A gauge that speaks within the page: what it is told to send is heard as the lines of a serial one are. */
export interface MemoryGauge {
  readonly source: Source;
  readonly send: (lines: readonly string[]) => void;
}

export function memoryGauge(id: string, name: string): MemoryGauge {
  let hears: ((chunk: string) => void) | undefined;
  return {
    source: {
      id,
      name,
      open: (onText) => {
        hears = onText;
        return Promise.resolve(() => {
          hears = undefined;
        });
      },
    },
    send: (lines) => {
      for (const line of lines) hears?.(`${line}\r\n`);
    },
  };
}
