import { parseShop, SCHEMA, type Shop, type StoredShop } from '@obra/core/document';
import { applyEdits, type Edit } from '@obra/core/finding';
import { writeSentence } from '@obra/core/quantity';
import { useEffect } from 'react';
import useSWR, { mutate } from 'swr';
import { changed, useChanges } from './changes';
import { now, thisBrowser } from './ids';
import { leftOfShop, noteShop, shopStored, type ShopChange } from './journal';
import { askedOnLeaving } from './leaving';
import { onNews } from './news';
import { loadShop, mendShop, saveShop, type UnreadShop, unreadShop } from './shopStore';
import { Unwritable } from './unwritable';

/** Tries a refused change again after this long, ms. */
const AGAIN = 5000;

export interface OpenShop {
  readonly shop: Shop | undefined;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly undo: () => void;
  readonly redo: () => void;
  /** the whole shop at once: one taken from a file, or begun again */
  readonly replace: (shop: Shop) => void;
  readonly editShop: (edits: readonly Edit[]) => void;
  /** a change of the shop is not stored; it is tried again until it is */
  readonly refused: boolean;
  readonly saving: boolean;
  /** the last change could not be kept at all, and why */
  readonly says: string | undefined;
  readonly dismiss: () => void;
  /** the shop that stands in storage and cannot be read */
  readonly unread: UnreadShop | undefined;
  readonly mend: (how: 'repair' | 'takeOut') => Promise<void>;
}

let current: Shop | undefined;
/** Changes not in storage yet, in their order: they stay until it has taken them. */
let pending: readonly ShopChange[] = [];
let journalled = true;
let refused = false;
let says: string | undefined;
let undoSteps: Shop[] = [];
let redoSteps: Shop[] = [];
let leaving: (() => void) | undefined;

/** The shop as this window has it, its own changes in it. */
export const shopNow = (): Shop | undefined => current;
/* a change of the shop that is not stored, and that nothing keeps over a reload */
askedOnLeaving(() => pending.length > 0 && (!journalled || refused));

/** What a job does when the shop is changed from elsewhere: its undo leaves the shop alone from then on. */
export function onShopLeft(act: () => void): void {
  leaving = act;
}

/** The shop of this browser, and how to change it. */
export function useShop(): OpenShop {
  const { data } = useSWR('shop', () => opened(), { revalidateOnFocus: false, revalidateOnReconnect: false });
  const { data: unread } = useSWR('shop-unread', () => unreadShop(), { revalidateOnFocus: false, revalidateOnReconnect: false });
  useChanges();
  useEffect(
    () =>
      onNews((news) => {
        if (news.kind === 'shop') void takeFromElsewhere();
      }),
    [],
  );
  return {
    shop: data?.shop,
    editShop: (edits) => {
      remember();
      changeShop({ edits });
    },
    replace: (shop) => {
      remember();
      changeShop({ shop });
    },
    undo: () => travel(undoSteps, redoSteps),
    redo: () => travel(redoSteps, undoSteps),
    canUndo: undoSteps.length > 0,
    canRedo: redoSteps.length > 0,
    refused,
    saving: pending.length > 0,
    says,
    dismiss: () => {
      says = undefined;
      changed();
    },
    unread,
    mend: async (how) => {
      await mendShop(how);
      undoSteps = [];
      redoSteps = [];
      await storing();
      await Promise.all([mutate('shop'), mutate('shop-unread')]);
    },
  };
}

let leftTaken = false;

/** The stored shop; what a closed window had changed of it and not stored is put on top first. */
async function opened(): Promise<StoredShop> {
  if (!leftTaken) {
    leftTaken = true;
    const left = await leftOfShop();
    if (left.length > 0) {
      try {
        await saveShop((shop) => left.reduce(applied, shop));
      } catch {
        pending = [...left, ...pending];
        journalled = noteShop(pending);
        again();
      }
    }
  }
  const stored = await loadShop();
  current = pending.reduce(applied, stored.shop);
  return { ...stored, shop: current };
}

const applied = (shop: Shop, change: ShopChange): Shop => ('edits' in change ? applyEdits(shop, change.edits) : change.shop);

function remember(): void {
  if (current) undoSteps = [...undoSteps.slice(-499), current];
  redoSteps = [];
  leaving?.();
}

/** The undo of the Shop page ends: the shop was changed from a job. */
export function endShopUndo(): void {
  undoSteps = [];
  redoSteps = [];
}

function travel(from: Shop[], to: Shop[]): void {
  const shop = from.pop();
  if (!shop || !current) return;
  to.push(current);
  leaving?.();
  changeShop({ shop });
}

/** Changes the shop here at once, and in storage on top of what stands there, so that another window's change is kept. One that its own reader would refuse is not made. */
export function changeShop(change: ShopChange): void {
  if (!current) return;
  const next = applied(current, change);
  const read = parseShop(next);
  if (!read.ok) {
    says = `That was not taken, and the shop is as it was: ${writeSentence(read.problems[0]?.says ?? [], 'mm')}.`;
    changed();
    return;
  }
  current = next;
  pending = [...pending, change];
  journalled = noteShop(pending);
  show();
  void storing();
}

let busy: Promise<void> = Promise.resolve();
/** One writer at a time; each takes all that waits. */
const storing = (): Promise<void> => (busy = busy.then(store));

async function store(): Promise<void> {
  const mine = pending;
  if (mine.length === 0) return;
  try {
    const saved = await saveShop((shop) => mine.reduce(applied, shop));
    pending = pending.slice(mine.length);
    refused = false;
    if (pending.length === 0) {
      shopStored();
      current = saved.shop;
    } else journalled = noteShop(pending);
    show(saved);
  } catch (cause) {
    refused = true;
    if (cause instanceof Unwritable) void mutate('shop-unread');
    else again();
    changed();
  }
}

let retry: ReturnType<typeof setTimeout> | undefined;
function again(): void {
  clearTimeout(retry);
  retry = setTimeout(() => void storing(), AGAIN);
}

function show(saved?: StoredShop): void {
  const shop = current;
  if (shop)
    void mutate<StoredShop>(
      'shop',
      (before) => ({ schema: SCHEMA, id: 'shop', revision: 1, saved: now(), by: thisBrowser(), ...before, ...saved, shop }),
      { revalidate: false },
    );
  changed();
}

/** Another window changed the shop: undo here leaves it alone from now on. */
async function takeFromElsewhere(): Promise<void> {
  leaving?.();
  endShopUndo();
  await Promise.all([mutate('shop'), mutate('shop-unread')]);
}
