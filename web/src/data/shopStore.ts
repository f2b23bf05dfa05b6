import { parseStoredShop, type Salvage, salvageShop, SCHEMA, type Shop, type StoredShop } from '@obra/core/document';
import type { Sentence } from '@obra/core/quantity';
import { newId, now, thisBrowser } from './ids';
import { tell } from './news';
import { alone, read, remove, write } from './store';
import { readable, Unwritable } from './unwritable';

/** A shop that stands in storage and cannot be read: it stays there as it is until a person decides. */
export interface UnreadShop {
  readonly raw: unknown;
  readonly says: Sentence;
  /** what can be read of it, line by line; none where nothing can */
  readonly salvage: Salvage | undefined;
}

const asStored = (shop: Shop): StoredShop => ({ schema: SCHEMA, id: 'shop', revision: 1, saved: now(), by: thisBrowser(), shop });

async function beginning(): Promise<StoredShop> {
  const { beginningShop } = await import('./beginning');
  return asStored(beginningShop());
}

/** What stands in storage: a shop, none yet, or one that cannot be read. */
async function stored(): Promise<{ readonly shop: StoredShop } | { readonly unread: UnreadShop }> {
  const raw = await read('shop');
  if (raw === null || raw === undefined) return { shop: await beginning() };
  const parsed = parseStoredShop(raw);
  if (parsed.ok) return { shop: parsed.value };
  return { unread: { raw, says: parsed.problems[0]?.says ?? [], salvage: salvageShop(raw) } };
}

/** The shop of this browser. One that cannot be read stays where it is; for this visit stands in what can be read of it, else the starting shop. */
export async function loadShop(): Promise<StoredShop> {
  const found = await stored();
  if ('shop' in found) return found.shop;
  const salvaged = found.unread.salvage?.shop;
  return salvaged ? asStored(salvaged) : beginning();
}

/** The shop that cannot be read, while one stands in storage. */
export async function unreadShop(): Promise<UnreadShop | undefined> {
  const found = await stored();
  return 'unread' in found ? found.unread : undefined;
}

/** Changes the stored shop on top of what stands there now. While one stands there that cannot be read nothing is written over it. */
export async function saveShop(change: (shop: Shop) => Shop): Promise<StoredShop> {
  return alone('shop', async () => {
    const before = await stored();
    if ('unread' in before) throw new Unwritable(before.unread.says);
    return put(before.shop, change(before.shop.shop));
  });
}

/** The shop of a demo, where none stands yet. */
export async function firstShop(shop: Shop): Promise<void> {
  await alone('shop', async () => {
    if ((await read('shop')) === null) await put(asStored(shop), shop);
  });
}

async function put(before: StoredShop, shop: Shop): Promise<StoredShop> {
  const next = readable(parseStoredShop({ ...before, revision: before.revision + 1, saved: now(), by: thisBrowser(), shop }));
  await write('shop', next);
  tell('shop', 'shop');
  return next;
}

/** Repairs the shop (what can be read stays, the lines that cannot are set aside) or takes it out whole and begins again. The old one is kept aside either way. */
export async function mendShop(how: 'repair' | 'takeOut'): Promise<void> {
  await alone('shop', async () => {
    const before = await stored();
    if (!('unread' in before)) return;
    await write(`aside/shop-${newId()}`, before.unread.raw);
    const shop = how === 'repair' ? before.unread.salvage?.shop : undefined;
    if (shop) await put(asStored(shop), shop);
    else {
      await remove('shop');
      tell('shop', 'shop');
    }
  });
}
