import useSWR from 'swr';
import { type Deed, DeedRead } from '@obra/core/practice';
import * as z from 'zod';
import { alone, read, write } from './store';

const KEY = 'practice';
const MOST = 200;

/** What somebody did of an exercise, and how it ended. */
const Practised = z.strictObject({
  exercise: z.string().max(60),
  number: z.int(),
  lathe: z.string().max(60),
  at: z.string(),
  /** how it ended: 'in', 'more', 'past', 'done', 'not yet' */
  ended: z.string().max(20),
  cuts: z.int(),
  readings: z.int(),
  minutes: z.number(),
  /** what was read, in order, mm */
  run: z.array(z.number()).max(60),
  /** what was done at the stand: the same again is the same metal */
  deeds: z.array(DeedRead).max(2000).readonly().optional(),
});
export type Practised = Omit<z.infer<typeof Practised>, 'deeds'> & { readonly deeds?: readonly Deed[] | undefined };

/** What was practised in this browser, as far as it reads, the last first. */
export async function attempts(): Promise<readonly Practised[]> {
  const all = z.array(z.unknown()).safeParse(await read(KEY));
  return all.success ? all.data.flatMap((one) => Practised.safeParse(one).data ?? []) : [];
}

/** What was practised in this browser, the last first; never among the records of the shop. Storage that refuses costs only this. */
export function usePractised(): { readonly done: readonly Practised[]; readonly keep: (one: Practised) => void } {
  const { data = [], mutate } = useSWR(KEY, attempts);
  return {
    done: data,
    keep: (one) =>
      void mutate(
        async () =>
          alone(KEY, async () => {
            const next = [one, ...(await attempts())].slice(0, MOST);
            await write(KEY, next).catch(() => undefined);
            return next;
          }),
        { optimisticData: (now) => [one, ...(now ?? [])], revalidate: false },
      ),
  };
}

/** Attempts of a backup beside those that are here, the last first; what is none is left out. */
export const takeAttempts = (raws: readonly unknown[]): Promise<void> =>
  alone(KEY, async () => {
    const came = raws.flatMap((raw) => Practised.safeParse(raw).data ?? []);
    if (came.length === 0) return;
    const all = [...(await attempts()), ...came].toSorted((a, b) => b.at.localeCompare(a.at));
    await write(KEY, all.slice(0, MOST));
  });
