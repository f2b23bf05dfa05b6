import { applyEdits, type Edit, type Job, type Shop, type StoredJob, type StoredShop } from '@obra/core';
import { useCallback, useEffect, useSyncExternalStore } from 'react';
import useSWR, { mutate } from 'swr';
import { now, thisBrowser } from './ids';
import { loadJob, loadShop, onNews, saveJob, saveShop } from './jobs';

/** Waits this long after the last change before saving, ms. */
const AUTOSAVE = 250;

interface Step {
  readonly job: Job;
  readonly shop: Shop | undefined;
}

export type SaveState = 'saved' | 'saving' | 'refused';

/**
 * One open job: what it is now, what it was before, and its saving. Steps of the history are whole documents that share
 * structure (immer), so an undo is a step back and is saved like any other change.
 */
interface Session {
  stored: StoredJob;
  undo: Step[];
  redo: Step[];
  state: SaveState;
  says: string | undefined;
  /** the cell being typed in: its keystrokes are one step of the history */
  typing: string | undefined;
  timer: ReturnType<typeof setTimeout> | undefined;
  saving: Promise<void>;
}

const sessions = new Map<string, Session>();
const listeners = new Set<() => void>();
let version = 0;

function changed(): void {
  version++;
  for (const listen of listeners) listen();
}

const subscribe = (listen: () => void) => {
  listeners.add(listen);
  return () => listeners.delete(listen);
};

let shopNow: Shop | undefined;

export interface OpenJob {
  readonly stored: StoredJob;
  readonly job: Job;
  readonly state: SaveState;
  /** what a person should know: a conflict, another window's change, storage that refuses */
  readonly says: string | undefined;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** `typing` names the cell whose keystrokes belong together */
  readonly edit: (edits: readonly Edit[], to?: 'job' | 'shop', typing?: string) => void;
  readonly replace: (job: Job) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly dismiss: () => void;
}

/** The job of this address: undefined while loading, null when there is none. */
export function useJob(id: string): OpenJob | undefined | null {
  const loaded = useSWR(['job', id], () => loadJob(id).then((job) => job ?? null), { revalidateOnFocus: false, revalidateOnReconnect: false });
  useSyncExternalStore(subscribe, () => version);
  useEffect(
    () =>
      onNews((news) => {
        if (news.kind === 'job' && news.id === id) void takeFromElsewhere(id);
      }),
    [id],
  );
  const found = loaded.data;
  let session = sessions.get(id);
  if (!session && found) {
    session = { stored: found, undo: [], redo: [], state: 'saved', says: undefined, typing: undefined, timer: undefined, saving: Promise.resolve() };
    sessions.set(id, session);
  }
  const edit = useCallback((edits: readonly Edit[], to: 'job' | 'shop' = 'job', typing?: string) => editJob(id, edits, to, typing), [id]);
  const replace = useCallback((job: Job) => setJob(id, job), [id]);
  const undo = useCallback(() => travel(id, 'undo', 'redo'), [id]);
  const redo = useCallback(() => travel(id, 'redo', 'undo'), [id]);
  const dismiss = useCallback(() => {
    const open = sessions.get(id);
    if (open) open.says = undefined;
    changed();
  }, [id]);
  if (loaded.isLoading) return undefined;
  if (!session) return null;
  return {
    stored: session.stored,
    job: session.stored.job,
    state: session.state,
    says: session.says,
    canUndo: session.undo.length > 0,
    canRedo: session.redo.length > 0,
    edit,
    replace,
    undo,
    redo,
    dismiss,
  };
}

export interface OpenShop {
  readonly shop: Shop | undefined;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly undo: () => void;
  readonly redo: () => void;
  /** the whole shop at once: one taken from a file, or begun again */
  readonly replace: (shop: Shop) => void;
  readonly editShop: (edits: readonly Edit[]) => void;
  /** the last change of the shop is not stored */
  readonly refused: boolean;
  readonly saving: boolean;
}

/** The shop of this browser, and how to change it. */
export function useShop(): OpenShop {
  const { data } = useSWR('shop', () => loadShop(), { revalidateOnFocus: false, revalidateOnReconnect: false });
  useSyncExternalStore(subscribe, () => version);
  useEffect(
    () =>
      onNews((news) => {
        if (news.kind === 'shop') void takeShopFromElsewhere();
      }),
    [],
  );
  useEffect(() => knowShop(data?.shop), [data]);
  return {
    shop: data?.shop,
    editShop: editHere,
    replace: replaceHere,
    undo: undoHere,
    redo: redoHere,
    canUndo: shopUndo.length > 0,
    canRedo: shopRedo.length > 0,
    refused: shopRefused,
    saving: shopSaving > 0,
  };
}

let shopRefused = false;
/** Changes of the shop on their way into storage. */
let shopSaving = 0;
/** What the shop was before each change made on its own page. */
let shopUndo: Shop[] = [];
let shopRedo: Shop[] = [];

function rememberShop(): void {
  if (shopNow) shopUndo = [...shopUndo.slice(-499), shopNow];
  shopRedo = [];
  leaveShopAlone();
}

function editHere(edits: readonly Edit[]): void {
  rememberShop();
  changeShop((shop) => applyEdits(shop, edits));
}

function replaceHere(shop: Shop): void {
  rememberShop();
  changeShop(() => shop);
}

function travelShop(from: Shop[], to: Shop[]): void {
  const shop = from.pop();
  if (!shop || !shopNow) return;
  to.push(shopNow);
  leaveShopAlone();
  changeShop(() => shop);
}
const undoHere = () => travelShop(shopUndo, shopRedo);
const redoHere = () => travelShop(shopRedo, shopUndo);

/** From now on an undo in a job leaves the shop as it is: it was changed elsewhere since. */
function leaveShopAlone(): void {
  for (const session of sessions.values()) {
    session.undo = session.undo.map(({ job }) => ({ job, shop: undefined }));
    session.redo = session.redo.map(({ job }) => ({ job, shop: undefined }));
  }
}

function knowShop(shop: Shop | undefined): void {
  shopNow = shop;
}

/** Changes the shop here at once, and in storage on top of what stands there, so that another window's change is kept. */
function changeShop(change: (shop: Shop) => Shop): void {
  if (!shopNow) return;
  shopNow = change(shopNow);
  const shown = shopNow;
  const optimistic = (current?: StoredShop): StoredShop => ({
    schema: 1,
    id: 'shop',
    revision: 1,
    saved: now(),
    by: thisBrowser(),
    ...current,
    shop: shown,
  });
  shopSaving++;
  const stored = saveShop(change).then(
    (saved) => {
      shopSaving--;
      shopRefused = false;
      changed();
      return saved;
    },
    () => {
      shopSaving--;
      shopRefused = true;
      changed();
      return optimistic();
    },
  );
  void mutate<StoredShop>('shop', stored, { optimisticData: optimistic, revalidate: false });
}

/** Another window changed the shop: undo here leaves the shop alone from now on. */
async function takeShopFromElsewhere(): Promise<void> {
  leaveShopAlone();
  shopUndo = [];
  shopRedo = [];
  await mutate('shop');
}

function editJob(id: string, edits: readonly Edit[], to: 'job' | 'shop', typing?: string): void {
  const session = sessions.get(id);
  if (!session) return;
  if (to === 'job') {
    setJob(id, applyEdits(session.stored.job, edits), typing);
    return;
  }
  if (!shopNow) return;
  remember(session);
  shopUndo = [];
  shopRedo = [];
  changeShop((shop) => applyEdits(shop, edits));
  changed();
}

function setJob(id: string, job: Job, typing?: string): void {
  const session = sessions.get(id);
  if (!session || job === session.stored.job) return;
  if (typing === undefined || typing !== session.typing) remember(session);
  session.typing = typing;
  session.stored = { ...session.stored, job };
  saveSoon(id, session);
}

function remember(session: Session): void {
  session.undo.push({ job: session.stored.job, shop: shopNow });
  if (session.undo.length > 500) session.undo.shift();
  session.redo = [];
}

function travel(id: string, from: 'undo' | 'redo', to: 'undo' | 'redo'): void {
  const session = sessions.get(id);
  const step = session?.[from].pop();
  if (!session || !step) return;
  session[to].push({ job: session.stored.job, shop: shopNow });
  session.typing = undefined;
  session.stored = { ...session.stored, job: step.job };
  const { shop } = step;
  if (shop && shop !== shopNow) changeShop(() => shop);
  saveSoon(id, session);
}

function saveSoon(id: string, session: Session): void {
  session.state = 'saving';
  clearTimeout(session.timer);
  session.timer = setTimeout(() => {
    session.saving = session.saving.then(() => save(id, session));
  }, AUTOSAVE);
  changed();
}

async function save(id: string, session: Session): Promise<void> {
  const job = session.stored.job;
  try {
    const saved = await saveJob(id, session.stored.revision, job);
    if (saved.kind === 'conflict') {
      adopt(session, saved.theirs, `Another window saved this job first. Its version is shown; yours is kept as “${saved.copy.job.name}” in Jobs.`);
    } else {
      session.stored = { ...saved.stored, job: session.stored.job };
      if (session.stored.job === job) session.state = 'saved';
      else saveSoon(id, session);
      if (session.says?.startsWith('This browser') === true) session.says = undefined;
    }
    await mutate(['job', id], session.stored, { revalidate: false });
  } catch {
    session.state = 'refused';
    session.says = 'This browser did not store the last change (storage full or blocked). Work goes on here; export the job to keep it.';
  }
  changed();
}

/** Saves at once; for leaving a page and before giving out. */
export async function saveNow(id: string): Promise<void> {
  const session = sessions.get(id);
  if (session?.state !== 'saving') return;
  clearTimeout(session.timer);
  session.saving = session.saving.then(() => save(id, session));
  await session.saving;
}

async function takeFromElsewhere(id: string): Promise<void> {
  const session = sessions.get(id);
  const theirs = await loadJob(id);
  if (!session || !theirs || theirs.revision <= session.stored.revision || session.state !== 'saved') return;
  const had = session.undo.length > 0;
  adopt(
    session,
    theirs,
    had ? 'Another window changed this job. Its version is shown; undo ends here.' : 'Another window changed this job. Its version is shown.',
  );
  await mutate(['job', id], theirs, { revalidate: false });
  changed();
}

function adopt(session: Session, theirs: StoredJob, says: string): void {
  session.stored = theirs;
  session.undo = [];
  session.redo = [];
  session.state = 'saved';
  session.says = says;
}

/** Forgets what is held in memory of a job that was deleted. */
export function forget(id: string): void {
  clearTimeout(sessions.get(id)?.timer);
  sessions.delete(id);
  void mutate(['job', id], null, { revalidate: false });
}
