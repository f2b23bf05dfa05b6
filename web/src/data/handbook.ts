import useSWR from 'swr';
import * as z from 'zod';
import { alone, read, write } from './store';

const KEY = 'handbook';
const Marks = z.object({ pinned: z.array(z.string()).max(100), recent: z.array(z.string()).max(100) });
type Marks = z.infer<typeof Marks>;
const NONE: Marks = { pinned: [], recent: [] };
const RECENT = 5;

/** What stands in storage; a record that does not read counts as none: it holds nothing that cannot be marked again. */
async function load(): Promise<Marks> {
  const parsed = Marks.safeParse(await read(KEY));
  return parsed.success ? parsed.data : NONE;
}

/** Which calculators are pinned and which were opened last, kept in this browser. Storage that refuses costs only the marks. */
export function useHandbookMarks(): {
  readonly pinned: readonly string[];
  readonly recent: readonly string[];
  readonly pin: (id: string) => void;
  readonly opened: (id: string) => void;
} {
  const { data = NONE, mutate } = useSWR(KEY, load);
  const change = (by: (marks: Marks) => Marks) => {
    void mutate(
      async () =>
        alone(KEY, async () => {
          const next = by(await load());
          await write(KEY, next).catch(() => undefined);
          return next;
        }),
      { optimisticData: (now) => by(now ?? NONE), revalidate: false },
    );
  };
  return {
    ...data,
    pin: (id) => change((m) => ({ ...m, pinned: m.pinned.includes(id) ? m.pinned.filter((p) => p !== id) : [...m.pinned, id] })),
    opened: (id) => change((m) => ({ ...m, recent: [id, ...m.recent.filter((r) => r !== id)].slice(0, RECENT) })),
  };
}
