import { type Entry, isBlankRow, type Job } from '../document';
import { type Finding, findingKey } from '../finding';
import type { Plan } from '../planner';
import { say, type Sentence } from '../quantity';
import { benchState } from './benchState';

export interface Progress {
  readonly reached: 'drawing' | 'holding' | 'route' | 'bench' | 'inspection';
  /** what comes next, in a few words */
  readonly next: Sentence;
}

/** The stops that nobody has overruled by name: the Bench waits for them. */
export function openStops(job: Job, plan: Plan): readonly Finding[] {
  const overruled = new Set(job.choices.flatMap((c) => (c.kind === 'overrule' ? [c.finding] : [])));
  return plan.findings.filter((f) => f.severity === 'stop' && !overruled.has(findingKey(f)));
}

/**
 * The stages where a finding is shown: the one it arises at, and Drawing too where a fix would change the drawing.
 * Steps arise at the route, bar, chuck and lathe at the holding, everything else in the drawing.
 */
export function stagesOf(finding: Finding): readonly ('drawing' | 'holding' | 'route')[] {
  const { about, mends } = finding;
  const redraws = mends.some((m) => m.edits.some((e) => e.at.startsWith('drawing/')));
  if (about.includes('@') || about === 'route') return redraws ? ['drawing', 'route'] : ['route'];
  if (/^(?:bar|machine|holding|(?:right|left|away)-\d+)$/.test(about)) return redraws ? ['drawing', 'holding'] : ['holding'];
  return finding.code === 'choice-orphaned' ? ['holding', 'route'] : ['drawing'];
}

/** How far a job is and what comes next, from its plan and its log. */
export function progressOf(job: Job, plan: Plan, log: readonly Entry[]): Progress {
  if (plan.reached === 'drawing')
    return { reached: 'drawing', next: job.drawing.outside.every(isBlankRow) ? say`type the first row` : say`mend the drawing` };
  const noBar = !job.issue && openStops(job, plan).some((f) => f.code === 'bar-too-small');
  if (plan.reached === 'holding' || noBar) return { reached: 'holding', next: say`choose bar and holding` };
  if (!job.issue) {
    const stops = openStops(job, plan).length;
    return { reached: 'route', next: stops > 0 ? say`${stops} ${stops > 1 ? 'stops' : 'stop'} to clear` : say`give it out to the Bench` };
  }
  const { at } = benchState(job, plan, log);
  if (at === null) return { reached: 'inspection', next: say`inspect and file` };
  const steps = plan.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  return { reached: 'bench', next: say`piece ${at.piece}, step ${steps.findIndex((s) => s.id === at.step) + 1} of ${steps.length}` };
}
