import type { Job, Shop, StoredJob } from '@obra/core/document';
import { applyEdits, type Edit } from '@obra/core/finding';
import { writeSentence } from '@obra/core/quantity';
import same from 'fast-deep-equal';
import { useCallback, useEffect } from 'react';
import useSWR, { mutate } from 'swr';
import { findDeleted } from './bin';
import { changed, useChanges } from './changes';
import { thisBrowser } from './ids';
import { createJob, loadJob, putBack, saveJob } from './jobs';
import { jobStored, leftOfJob, noteJob } from './journal';
import { askedOnLeaving } from './leaving';
import { onNews } from './news';
import { changeShop, endShopUndo, onShopLeft, shopNow } from './shopSession';
import { Unwritable } from './unwritable';

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
  /** what is not stored stands in the journal */
  journalled: boolean;
  /** a save is on its way */
  inFlight: boolean;
  /** another window deleted it */
  gone: boolean;
}

const sessions = new Map<string, Session>();

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
  /** another window deleted it: what is done here goes on, and `putBack` brings it back */
  readonly gone: boolean;
  readonly putBack: () => void;
}

/** The job of this address: undefined while loading, null when there is none. */
export function useJob(id: string): OpenJob | undefined | null {
  const loaded = useSWR(['job', id], () => opened(id), { revalidateOnFocus: false, revalidateOnReconnect: false });
  useChanges();
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
    session = fresh(found);
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
    gone: session.gone,
    putBack: () => void bringBack(id),
  };
}

const fresh = (stored: StoredJob): Session => ({
  stored,
  undo: [],
  redo: [],
  state: 'saved',
  says: undefined,
  typing: undefined,
  timer: undefined,
  saving: Promise.resolve(),
  journalled: true,
  inFlight: false,
  gone: false,
});

const BACK = 'What was changed before the page was closed is back.';

/** The stored job; what a closed window had changed of it and not stored is put on top, or kept beside it where another saved since. */
async function opened(id: string): Promise<StoredJob | null> {
  const stored = await loadJob(id);
  if (!stored) return null;
  if (sessions.has(id)) return stored;
  const session = fresh(stored);
  for (const left of await leftOfJob(id)) {
    if (same(left.job, session.stored.job)) continue;
    const ownSave = left.saving && stored.revision === left.revision + 1 && stored.by === thisBrowser();
    if (left.revision === stored.revision || ownSave) {
      session.undo.push({ job: session.stored.job, shop: undefined });
      session.stored = { ...session.stored, job: left.job };
      session.says = BACK;
    } else {
      const copy = await createJob({ ...left.job, name: `${left.job.name} (from a closed window)` }).catch(() => undefined);
      if (copy)
        session.says = `A closed window had changes that were not stored; another window saved since. They are kept as “${copy.job.name}” in Jobs.`;
    }
  }
  sessions.set(id, session);
  if (session.undo.length > 0) saveSoon(id, session);
  return session.stored;
}

/** From now on an undo in a job leaves the shop as it is: it was changed elsewhere since. */
onShopLeft(() => {
  for (const session of sessions.values()) {
    session.undo = session.undo.map(({ job }) => ({ job, shop: undefined }));
    session.redo = session.redo.map(({ job }) => ({ job, shop: undefined }));
  }
});

askedOnLeaving(() => [...sessions.values()].some((s) => s.state === 'refused' || (s.state === 'saving' && !s.journalled)));

function editJob(id: string, edits: readonly Edit[], to: 'job' | 'shop', typing?: string): void {
  const session = sessions.get(id);
  if (!session) return;
  if (to === 'job') {
    setJob(id, applyEdits(session.stored.job, edits), typing);
    return;
  }
  if (!shopNow()) return;
  remember(session);
  endShopUndo();
  changeShop({ edits });
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
  session.undo.push({ job: session.stored.job, shop: shopNow() });
  if (session.undo.length > 500) session.undo.shift();
  session.redo = [];
}

function travel(id: string, from: 'undo' | 'redo', to: 'undo' | 'redo'): void {
  const session = sessions.get(id);
  const step = session?.[from].pop();
  if (!session || !step) return;
  session[to].push({ job: session.stored.job, shop: shopNow() });
  session.typing = undefined;
  session.stored = { ...session.stored, job: step.job };
  const { shop } = step;
  if (shop && shop !== shopNow()) changeShop({ shop });
  saveSoon(id, session);
}

function saveSoon(id: string, session: Session): void {
  session.state = 'saving';
  session.journalled = note(id, session);
  clearTimeout(session.timer);
  session.timer = setTimeout(() => {
    session.saving = session.saving.then(() => save(id, session));
  }, AUTOSAVE);
  changed();
}

const note = (id: string, { stored, inFlight }: Session): boolean => noteJob(id, { revision: stored.revision, saving: inFlight, job: stored.job });

/** Tries again after this long when storage refused, ms. */
const AGAIN = 5000;
const REFUSED =
  'This browser did not store the last change (storage full or blocked). Work goes on here and it is tried again; export the job to keep it.';
const GONE = 'This job was deleted in another window. What is entered here is kept; put it back to go on with it.';

async function save(id: string, session: Session): Promise<void> {
  const job = session.stored.job;
  session.inFlight = true;
  note(id, session);
  try {
    const saved = await saveJob(id, session.stored.revision, job);
    session.inFlight = false;
    if (saved.kind === 'gone') {
      session.gone = true;
      session.state = 'refused';
      session.says = GONE;
    } else if (saved.kind === 'conflict') {
      adopt(session, saved.theirs, `Another window saved this job first. Its version is shown; yours is kept as “${saved.copy.job.name}” in Jobs.`);
      jobStored(id);
    } else {
      session.stored = { ...saved.stored, job: session.stored.job };
      if (session.stored.job === job) {
        session.state = 'saved';
        jobStored(id);
      } else saveSoon(id, session);
      if (session.says === REFUSED || session.says?.startsWith(UNREADABLE) === true) session.says = undefined;
    }
    await mutate(['job', id], session.stored, { revalidate: false });
  } catch (cause) {
    session.inFlight = false;
    session.state = 'refused';
    if (cause instanceof Unwritable) session.says = `${UNREADABLE} ${writeSentence(cause.says, job.units)}. Undo it or change it.`;
    else {
      session.says = REFUSED;
      session.timer = setTimeout(() => {
        session.saving = session.saving.then(() => save(id, session));
      }, AGAIN);
    }
  }
  changed();
}

const UNREADABLE = 'The last change is not stored, since it could not be read again:';

async function bringBack(id: string): Promise<void> {
  const session = sessions.get(id);
  const deleted = await findDeleted(id);
  try {
    if (deleted) await putBack(deleted);
    if (!session) return;
    session.gone = false;
    session.says = undefined;
    const stored = await loadJob(id);
    if (stored) session.stored = { ...stored, job: session.stored.job };
    if (stored && !same(stored.job, session.stored.job)) saveSoon(id, session);
    else session.state = 'saved';
  } catch {
    if (session) session.says = REFUSED;
  }
  await mutate(['log', id]);
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
  if (session && !theirs && (await findDeleted(id))) {
    session.gone = true;
    session.says = GONE;
    changed();
    return;
  }
  if (session?.gone === true && theirs) {
    session.gone = false;
    session.says = undefined;
    if (session.state === 'refused') saveSoon(id, session);
    changed();
  }
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
