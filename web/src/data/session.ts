import { type Job, namedByPart, type StoredJob } from '@obra/core/document';
import { applyEdits, type Edit } from '@obra/core/finding';
import { useCallback, useEffect } from 'react';
import useSWR, { mutate } from 'swr';
import { saveSoon } from './autosave';
import { changed, useChanges } from './changes';
import { bringBack, openedJob, takeFromElsewhere } from './conflicts';
import { remembered, travelled } from './history';
import { onNews } from './news';
import { freshSession, type SaveState, type Session, sessions } from './openJobs';
import { changeShop, endShopUndo, shopNow } from './shopSession';

/* The open job as a page sees it. */

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
  const loaded = useSWR(['job', id], () => openedJob(id), { revalidateOnFocus: false, revalidateOnReconnect: false });
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
    session = freshSession(found);
    sessions.set(id, session);
  }
  const edit = useCallback((edits: readonly Edit[], to: 'job' | 'shop' = 'job', typing?: string) => editJob(id, edits, to, typing), [id]);
  const replace = useCallback((job: Job) => setJob(id, job), [id]);
  const undo = useCallback(() => travel(id, 'undo'), [id]);
  const redo = useCallback(() => travel(id, 'redo'), [id]);
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
    canUndo: session.history.past.length > 0,
    canRedo: session.history.future.length > 0,
    edit,
    replace,
    undo,
    redo,
    dismiss,
    gone: session.gone,
    putBack: () => void bringBack(id),
  };
}

const nowIn = ({ stored }: Session) => ({ job: stored.job, shop: shopNow() });

function editJob(id: string, edits: readonly Edit[], to: 'job' | 'shop', typing?: string): void {
  const session = sessions.get(id);
  if (!session) return;
  if (to === 'job') {
    setJob(id, applyEdits(session.stored.job, edits), typing);
    return;
  }
  if (!shopNow()) return;
  session.history = remembered(session.history, nowIn(session));
  endShopUndo();
  changeShop({ edits });
}

function setJob(id: string, job: Job, typing?: string): void {
  const session = sessions.get(id);
  if (!session || job === session.stored.job) return;
  const before = session.stored.job;
  session.history = remembered(session.history, nowIn(session), typing);
  session.stored = { ...session.stored, job: namedByPart(before, job) };
  saveSoon(id, session);
}

function travel(id: string, way: 'undo' | 'redo'): void {
  const session = sessions.get(id);
  const went = session && travelled(session.history, way, nowIn(session));
  if (!session || !went) return;
  session.history = went.history;
  session.stored = { ...session.stored, job: went.to.job };
  const { shop } = went.to;
  if (shop && shop !== shopNow()) changeShop({ shop });
  saveSoon(id, session);
}

/** Forgets what is held in memory of a job that was deleted. */
export function forget(id: string): void {
  clearTimeout(sessions.get(id)?.timer);
  sessions.delete(id);
  void mutate(['job', id], null, { revalidate: false });
}
