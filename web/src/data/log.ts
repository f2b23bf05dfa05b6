import type { Bare } from '@obra/core/bench';
import type { Entry } from '@obra/core/document';
import { useCallback, useEffect } from 'react';
import useSWR from 'swr';
import { appendEntry, loadLog, loadUnread } from './entries';
import { newId, now, thisBrowser } from './ids';
import { onNews } from './news';

/** The Bench log of a job: only added to. `add` is done when the browser has stored the entry; `unread` counts entries that are kept but cannot be read. */
export function useLog(job: string): {
  readonly log: readonly Entry[] | undefined;
  readonly unread: number;
  readonly add: (entry: Bare) => Promise<void>;
} {
  const { data, mutate } = useSWR(['log', job], () => loadLog(job), { revalidateOnFocus: false, revalidateOnReconnect: false });
  // asked for after the log: reading it sets aside what cannot be read
  const { data: unread } = useSWR(data ? ['unread', job] : null, () => loadUnread(job), { revalidateOnFocus: false, revalidateOnReconnect: false });
  useEffect(
    () =>
      onNews((news) => {
        if (news.kind === 'log' && news.id === job) void mutate();
      }),
    [job, mutate],
  );
  const add = useCallback(
    async (bare: Bare) => {
      const entry = { ...bare, id: newId(), at: now(), by: thisBrowser() } as Entry;
      await appendEntry(job, entry);
      await mutate((log) => [...(log ?? []), entry], { revalidate: false });
    },
    [job, mutate],
  );
  return { log: data, add, unread: unread?.length ?? 0 };
}
