import { thisWindow } from './ids';

interface News {
  readonly kind: 'job' | 'shop' | 'log';
  readonly id: string;
  readonly from: string;
}

const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel('obra') : undefined;

/** Tells the other windows of this browser what was stored. */
export const tell = (kind: News['kind'], id: string): void => channel?.postMessage({ kind, id, from: thisWindow } satisfies News);

/** Hears what other windows of this browser stored. */
export function onNews(listen: (news: News) => void): () => void {
  const heard = (event: MessageEvent<News>) => {
    if (event.data.from !== thisWindow) listen(event.data);
  };
  channel?.addEventListener('message', heard);
  return () => channel?.removeEventListener('message', heard);
}
