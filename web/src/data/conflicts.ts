import type { StoredJob } from '@obra/core/document';
import same from 'fast-deep-equal';
import { mutate } from 'swr';
import { GONE, REFUSED, saveSoon } from './autosave';
import { findDeleted } from './bin';
import { changed } from './changes';
import { remembered } from './history';
import { thisBrowser } from './ids';
import { createJob, loadJob, putBack } from './jobs';
import { leftOfJob } from './journal';
import { adopt, freshSession, sessions } from './openJobs';
import { undoOf } from './undone';

/* One job in several windows: what closed ones left, what others saved or deleted meanwhile. Nothing of either is lost. */

const BACK = 'What was changed before the page was closed is back.';

/** The stored job; what a closed window had changed of it and not stored is put on top, or kept beside it where another saved since. */
export async function openedJob(id: string): Promise<StoredJob | null> {
  const stored = await loadJob(id);
  if (!stored) return null;
  if (sessions.has(id)) return stored;
  const session = freshSession(stored);
  session.history = await undoOf(id, stored.revision);
  let back = false;
  for (const left of await leftOfJob(id)) {
    if (same(left.job, session.stored.job)) continue;
    const ownSave = left.saving && stored.revision === left.revision + 1 && stored.by === thisBrowser();
    if (left.revision === stored.revision || ownSave) {
      session.history = remembered(session.history, { job: session.stored.job, shop: undefined });
      session.stored = { ...session.stored, job: left.job };
      session.says = BACK;
      back = true;
    } else {
      const copy = await createJob({ ...left.job, name: `${left.job.name} (from a closed window)` }).catch(() => undefined);
      if (copy)
        session.says = `A closed window had changes that were not stored; another window saved since. They are kept as “${copy.job.name}” in Jobs.`;
    }
  }
  sessions.set(id, session);
  if (back) saveSoon(id, session);
  return session.stored;
}

/** What another window did to a job that is open here. */
export async function takeFromElsewhere(id: string): Promise<void> {
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
  const had = session.history.past.length > 0;
  adopt(
    session,
    theirs,
    had ? 'Another window changed this job. Its version is shown; undo ends here.' : 'Another window changed this job. Its version is shown.',
  );
  await mutate(['job', id], theirs, { revalidate: false });
  changed();
}

/** Brings a job back that another window deleted, as it stands here. */
export async function bringBack(id: string): Promise<void> {
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
