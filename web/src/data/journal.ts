import { type Job, parseJob, parseShop, type Shop } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import * as z from 'zod';
import { thisWindow } from './ids';
import { kept } from './local';
import { locks } from './store';

/**
 * What was changed and is not stored yet, written at once into the small synchronous storage of the browser, a key a window and a thing: closed,
 * reloaded or left within the pause before saving, it is taken up again when the thing is next opened.
 */
const PREFIX = 'obra-journal/';
const keyOf = (thing: string) => `${PREFIX}${thing}/${thisWindow}`;

/** One change of the shop: edits on top of what stands there, or the whole of it. */
export type ShopChange = { readonly edits: readonly Edit[] } | { readonly shop: Shop };

/** A job as a window left it, on top of this revision; `saving` when a save of it was on its way, so that the next revision may be its own. */
export interface LeftOfJob {
  readonly revision: number;
  readonly saving: boolean;
  readonly job: Job;
}

/** False when it could not be written: the person is asked before leaving. */
export const noteJob = (id: string, note: LeftOfJob): boolean => kept.set(keyOf(`job/${id}`), JSON.stringify(note));
export const noteShop = (changes: readonly ShopChange[]): boolean => kept.set(keyOf('shop'), JSON.stringify(changes));
export const jobStored = (id: string): void => kept.remove(keyOf(`job/${id}`));
export const shopStored = (): void => kept.remove(keyOf('shop'));

async function deadKeys(thing: string): Promise<readonly string[]> {
  const keys = kept.keys(`${PREFIX}${thing}/`).filter((key) => key !== keyOf(thing));
  if (keys.length === 0) return [];
  const held = (await locks()?.query())?.held ?? [];
  const alive = new Set(held.map((lock) => lock.name?.replace('window/', '')));
  return keys.filter((key) => !alive.has(key.slice(key.lastIndexOf('/') + 1)));
}

async function taken(thing: string): Promise<readonly unknown[]> {
  return (await deadKeys(thing)).flatMap((key) => {
    const text = kept.get(key);
    kept.remove(key);
    try {
      return text === null ? [] : [JSON.parse(text) as unknown];
    } catch {
      return [];
    }
  });
}

const JobNote = z.object({ revision: z.number(), saving: z.boolean(), job: z.unknown() });

/** What closed windows had changed of a job and not stored, taken out of the journal. */
export async function leftOfJob(id: string): Promise<readonly LeftOfJob[]> {
  return (await taken(`job/${id}`)).flatMap((raw) => {
    const note = JobNote.safeParse(raw);
    const job = note.success ? parseJob(note.data.job) : undefined;
    return note.success && job?.ok === true ? [{ ...note.data, job: job.value }] : [];
  });
}

const ShopNote = z.array(
  z.union([
    z.object({
      edits: z.array(
        z.union([
          z.object({ op: z.literal('put'), at: z.string(), value: z.unknown(), before: z.string().exactOptional() }),
          z.object({ op: z.literal('remove'), at: z.string() }),
        ]),
      ),
    }),
    z.object({ shop: z.unknown() }),
  ]),
);

/** What closed windows had changed of the shop and not stored, in its order. */
export async function leftOfShop(): Promise<readonly ShopChange[]> {
  return (await taken('shop')).flatMap((raw) => {
    const note = ShopNote.safeParse(raw);
    return (note.success ? note.data : []).flatMap((change): readonly ShopChange[] => {
      if ('edits' in change) return [{ edits: change.edits }];
      const shop = parseShop(change.shop);
      return shop.ok ? [{ shop: shop.value }] : [];
    });
  });
}
