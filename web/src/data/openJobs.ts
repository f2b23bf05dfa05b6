import type { Job, Shop, StoredJob } from '@obra/core/document';
import { eachStep, type History, noHistory } from './history';
import { askedOnLeaving } from './leaving';
import { onShopLeft } from './shopSession';

export type SaveState = 'saved' | 'saving' | 'refused';

/** A step of the history: the job, and the shop that went with it. */
export interface Step {
  readonly job: Job;
  readonly shop: Shop | undefined;
}

/** One open job: what it is now, what it was before, and how its saving stands. */
export interface Session {
  stored: StoredJob;
  history: History<Step>;
  state: SaveState;
  says: string | undefined;
  timer: ReturnType<typeof setTimeout> | undefined;
  saving: Promise<void>;
  /** what is not stored stands in the journal */
  journalled: boolean;
  /** a save is on its way */
  inFlight: boolean;
  /** another window deleted it */
  gone: boolean;
}

/** The jobs that this window has open, by id. */
export const sessions = new Map<string, Session>();

export const freshSession = (stored: StoredJob): Session => ({
  stored,
  history: noHistory,
  state: 'saved',
  says: undefined,
  timer: undefined,
  saving: Promise.resolve(),
  journalled: true,
  inFlight: false,
  gone: false,
});

/** Takes what another window stored: undo ends there. */
export function adopt(session: Session, theirs: StoredJob, says: string): void {
  session.stored = theirs;
  session.history = noHistory;
  session.state = 'saved';
  session.says = says;
}

/** From now on an undo in a job leaves the shop as it is: it was changed elsewhere since. */
onShopLeft(() => {
  for (const session of sessions.values()) session.history = eachStep(session.history, ({ job }) => ({ job, shop: undefined }));
});

askedOnLeaving(() => [...sessions.values()].some((s) => s.state === 'refused' || (s.state === 'saving' && !s.journalled)));
