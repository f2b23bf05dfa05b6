import { benchState, settled, stagesOf } from '@obra/core/bench';
import { inspect } from '@obra/core/inspection';
import { writeMinutes } from '@obra/core/quantity';
import { NavLink } from 'react-router';
import { memoSteady } from '../../shell/useSteady';
import { holdingName } from '../../fields';
import type { JobView } from './view';

export const stages = ['drawing', 'holding', 'route', 'bench', 'inspection'] as const;
export type Stage = (typeof stages)[number];

const words: Readonly<Record<Stage, string>> = { drawing: 'Drawing', holding: 'Holding', route: 'Route', bench: 'Bench', inspection: 'Inspection' };

interface StagesProps {
  readonly id: string;
  readonly stage: Stage;
  readonly view: JobView;
  /** the step in hand at the Bench, where a person goes through the pieces otherwise than planned */
  readonly inHand?: string | undefined;
}

/** The five stages as marks on a scale, each with what is still open. */
export function Stages({ id, stage, view, inHand }: StagesProps) {
  return <Marks id={id} stage={stage} open={openOf(view, inHand)} />;
}

const Marks = memoSteady(function Marks({
  id,
  stage,
  open,
}: {
  readonly id: string;
  readonly stage: Stage;
  readonly open: Readonly<Record<Stage, string>>;
}) {
  return (
    <nav className="stages noprint" aria-label="Stages">
      {stages.map((s, i) => (
        <NavLink key={s} to={`/jobs/${id}/${s}`} aria-keyshortcuts={String(i + 1)} className={stage === s ? 'active' : ''}>
          {words[s]} <small>{open[s]}</small>
        </NavLink>
      ))}
    </nav>
  );
});

function openOf({ part, plan, job, shop, log, steps, findings }: JobView, inHand: string | undefined): Readonly<Record<Stage, string>> {
  const route = plan?.routes[0];
  const first = route?.setups[0];
  const toStop = part.findings.filter((f) => f.severity === 'stop').length;
  const state = plan && job.issue ? benchState(job, plan, log) : undefined;
  const verdicts = settled(inspect(part, job.issue?.kit ?? shop, log), job, plan, log);
  const sizes = part.characteristics.filter((c) => c.limits).length * job.pieces;
  const at = steps.findIndex((s) => s.id === (inHand ?? state?.at?.step));
  const checks = (at: 'drawing' | 'holding' | 'route') => {
    const n = findings.filter((f) => stagesOf(f).includes(at)).length;
    return n === 0 ? '' : n === 1 ? ', 1 check' : `, ${n} checks`;
  };
  return {
    drawing: (toStop > 0 ? `${toStop} to mend` : `${part.characteristics.length} sizes`) + checks('drawing'),
    holding: first ? holdingName(first, shop) + checks('holding') : '',
    route: route ? `${steps.length} steps, ${writeMinutes(route.cost.minutes.value)}${checks('route')}` : 'not yet',
    bench: !job.issue ? 'not given out' : state?.at ? `step ${at + 1} of ${steps.length}` : 'done',
    inspection: `${verdicts.length} of ${sizes}`,
  };
}
