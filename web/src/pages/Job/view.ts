import type { Entry, Job, Shop } from '@obra/core/document';
import type { Part } from '@obra/core/drawing';
import type { Finding } from '@obra/core/finding';
import type { StartedPiece } from '@obra/core/holding';
import { type Step, verbs } from '@obra/core/operations';
import type { Plan } from '@obra/core/planner';
import type { Figure, Units } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { boundsOf } from '@obra/core/stock';
import type { useLog } from '../../data/log';
import type { OpenJob } from '../../data/session';

/** What every stage of a job looks at. */
export interface JobView {
  readonly id: string;
  readonly open: OpenJob;
  readonly job: Job;
  readonly shop: Shop;
  /** the drawing that `part` was read from: the job's own, or the one of a keystroke before it */
  readonly drawn: Job['drawing'];
  /** the drawing as it was read */
  readonly part: Part;
  /** what the job starts as, where that is no fresh bar */
  readonly started: StartedPiece | undefined;
  /** what other jobs leave of its bar, where it is cut after them */
  readonly barLeft: Figure | undefined;
  readonly plan: Plan | undefined;
  readonly older: boolean;
  /** the checks as they stand: of the drawing as typed now, and of the plan where it answers it */
  readonly findings: readonly Finding[];
  /** entries of the Bench that are kept but cannot be read */
  readonly unread: number;
  readonly log: readonly Entry[];
  readonly add: ReturnType<typeof useLog>['add'];
  readonly units: Units;
  readonly swap: () => void;
  readonly steps: readonly Step[];
  readonly step: Step | undefined;
  readonly setup: Setup | undefined;
  readonly chosen: string | undefined;
  readonly choose: (at: string) => void;
  readonly move: (by: number) => void;
}

/** Radius of the bar in the plan, from its first stock. */
export function barRadius(view: JobView): number {
  const before = view.plan?.routes[0]?.setups[0]?.before;
  return before && before.length > 0 ? boundsOf(before).radius : 10;
}

/** A step as the sheet names it, never by its id: its verb and its number. */
export function stepSaid(id: string, { steps }: Pick<JobView, 'steps'>): string {
  const at = steps.findIndex((s) => s.id === id);
  const step = steps[at];
  return step ? `${verbs[step.verb].toLowerCase()} (step ${String(at + 1)})` : 'a step that is not on the sheet';
}
