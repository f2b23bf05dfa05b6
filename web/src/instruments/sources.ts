import * as z from 'zod';
import type { Source } from './instruments';

/** As much of Web Serial as is used. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly open: (options: { readonly baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
  readonly getInfo?: () => { readonly usbVendorId?: number; readonly usbProductId?: number };
}
interface Serial {
  readonly requestPort: () => Promise<SerialPort>;
}

const serialOf = (): Serial | undefined => (navigator as unknown as { readonly serial?: Serial }).serial;

/** Whether this browser can listen to a serial line at all. */
export const hasSerial = (): boolean => serialOf() !== undefined;

/** Bits a second that most gauges with a cable send at. @source common practice */
const BAUD = 9600;

/** A port that the person chooses; undefined where none was chosen. */
export async function chooseSerial(): Promise<Source | undefined> {
  const port = await serialOf()
    ?.requestPort()
    .catch(() => undefined);
  if (!port) return undefined;
  const { usbVendorId, usbProductId } = port.getInfo?.() ?? {};
  const id = `serial-${String(usbVendorId ?? 0)}-${String(usbProductId ?? 0)}`;
  return { id, name: 'gauge on the serial line', open: (onText, onEnd) => openSerial(port, onText, onEnd) };
}

async function openSerial(port: SerialPort, onText: (chunk: string) => void, onEnd: () => void): Promise<() => void> {
  await port.open({ baudRate: BAUD });
  const reader = port.readable?.getReader();
  let left = false;
  const decoder = new TextDecoder();
  const listen = async () => {
    try {
      for (;;) {
        const chunk = await reader?.read();
        if (!chunk || chunk.done) break;
        onText(decoder.decode(chunk.value, { stream: true }));
      }
    } catch {
      // it was unplugged in the middle of a word
    }
    if (!left) onEnd();
  };
  void listen();
  return () => {
    left = true;
    void reader
      ?.cancel()
      .then(() => port.close())
      .catch(() => undefined);
  };
}

const Listed = z.object({ instruments: z.array(z.object({ id: z.string(), name: z.string(), axes: z.array(z.string()) })) });

/** The stand-ins of this server, where it was started with them. */
export async function standIns(): Promise<readonly Source[]> {
  try {
    const config = z.object({ instruments: z.boolean().optional() }).parse(await (await fetch('/api/config')).json());
    if (config.instruments !== true) return [];
    const { instruments } = Listed.parse(await (await fetch('/api/instruments')).json());
    return instruments.map(({ id, name }): Source => ({
      id: `stand-in-${id}`,
      name,
      open: (onText, onEnd) => openLines(`/api/instruments/${id}/lines`, onText, onEnd),
    }));
  } catch {
    return [];
  }
}

/** Lines that the server sends as they come. */
function openLines(url: string, onText: (chunk: string) => void, onEnd: () => void): Promise<() => void> {
  return new Promise((resolve, reject) => {
    const events = new EventSource(url);
    let open = false;
    events.onopen = () => {
      open = true;
      resolve(() => events.close());
    };
    events.onmessage = ({ data }: MessageEvent<string>) => onText(JSON.parse(data) as string);
    events.onerror = () => {
      events.close();
      if (open) onEnd();
      else reject(new Error('not opened'));
    };
  });
}
