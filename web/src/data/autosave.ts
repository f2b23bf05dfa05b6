import { writeSentence } from '@obra/core/quantity';
import { mutate } from 'swr';
import { changed } from './changes';
import { saveJob } from './jobs';
import { jobStored, noteJob } from './journal';
import { adopt, type Session, sessions } from './openJobs';
import { keepUndo } from './undone';
import { Unwritable } from './unwritable';

/** Waits this long after the last change before saving, ms. */
const AUTOSAVE = 250;
/** Tries again after this long when storage refused, ms. */
const AGAIN = 5000;

export const REFUSED =
  'This browser did not store the last change (storage full or blocked). Work goes on here and it is tried again; export the job to keep it.';
export const GONE = 'This job was deleted in another window. What is entered here is kept; put it back to go on with it.';
const UNREADABLE = 'The last change is not stored, since it could not be read again:';

/** Stores the job once nothing is changed for a moment; until then it stands in the journal. */
export function saveSoon(id: string, session: Session): void {
  session.state = 'saving';
  session.journalled = note(id, session);
  clearTimeout(session.timer);
  session.timer = setTimeout(() => {
    session.saving = session.saving.then(() => save(id, session));
  }, AUTOSAVE);
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

const note = (id: string, { stored, inFlight }: Session): boolean => noteJob(id, { revision: stored.revision, saving: inFlight, job: stored.job });

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
        await keepUndo(id, session.stored.revision, job, session.history);
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
