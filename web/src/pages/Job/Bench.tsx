import './bench.css';
import { benchState } from '@obra/core/bench';
import { useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { Head } from '../../shell/Head';
import { ShopRefused } from '../../shell/ShopRefused';
import { BarPicture } from '../../bar';
import { AtStep } from './AtStep';
import { Back } from './Back';
import { GiveOut } from './GiveOut';
import { JobSays } from './JobSays';
import { Outdated } from './Outdated';
import { Stages } from './Stages';
import { useWakeLock } from './useWakeLock';
import { barRadius, type JobView } from './view';

/** One step at a time in large type: dial this, expect that, measure here, next. */
export function Bench({ view }: { readonly view: JobView }) {
  const { job, plan, log, id, steps, units, swap, open } = view;
  const state = useMemo(() => (plan && job.issue ? benchState(job, plan, log) : undefined), [job, plan, log]);
  const at = state?.at ?? null;
  const step = steps.find((s) => s.id === at?.step);
  const setup = plan?.routes[0]?.setups.find((s) => s.steps.some((o) => o.id === at?.step));
  useWakeLock();
  const number = step ? steps.indexOf(step) + 1 : steps.length;
  return (
    <div className="page">
      <Head bench>
        <span className="job">{job.name}</span>
        {at && (
          <span>
            piece {at.piece} of {job.pieces}
          </span>
        )}
        {at && (
          <span data-testid="step-number">
            step {number} of {steps.length}
          </span>
        )}
        <Button variant="link" onClick={swap} aria-label={`units: ${units === 'mm' ? 'mm' : 'inch'}`}>
          {units === 'mm' ? 'mm' : 'inch'}
        </Button>
        <span className="quiet" data-testid="saved">
          {open.state === 'saved' ? 'saved' : open.state === 'saving' ? 'saving' : 'not stored'}
        </span>
        <Link to={`/jobs/${id}/route`}>leave the Bench</Link>
      </Head>
      <ShopRefused />
      <JobSays open={open} unread={view.unread} />
      {state && <Outdated view={view} state={state} />}
      <BarPicture
        part={plan?.part}
        units={units}
        show="bench"
        setup={setup}
        step={step}
        holding={view.shop.holdings.find((h) => h.id === setup?.holding)}
        barRadius={barRadius(view)}
        height={window.innerHeight < 720 ? 96 : 112}
      />
      <Stages id={id} stage="bench" view={view} />
      {!job.issue || !plan ? (
        <main className="bench">
          <div>
            <h1>Not given out yet</h1>
            <p>The Bench works from a route that is given out, so that nothing changes under your hands.</p>
            <GiveOut view={view} />
          </div>
        </main>
      ) : !at || !step || !state ? (
        <main className="bench">
          <div>
            <h1>{plan.routes.length > 0 ? 'All steps done' : 'No route'}</h1>
            <p>
              <Link to={`/jobs/${id}/inspection`} style={{ color: 'var(--slate-chosen)' }}>
                Inspection
              </Link>{' '}
              holds the readings.
            </p>
            <Back view={view} />
          </div>
        </main>
      ) : (
        <AtStep key={`${at.piece}/${at.step}`} view={view} step={step} piece={at.piece} state={state} />
      )}
    </div>
  );
}
