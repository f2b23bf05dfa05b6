import type { Progress } from '@obra/core/bench';
import { writeSentence } from '@obra/core/quantity';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { listSummaries, type Summary } from '../../data/jobs';
import { useUnits } from '../../shell/units';
import { SmallOutline } from '../../small';

// how far jobs are is worked out apart from the page, when the page stands
const HowFar = lazy(() => import('./HowFar').then((m) => ({ default: m.HowFar })));

/** So many jobs are shown, and how long they wait for the page to be still, ms. */
const [SHOWN, STILL] = [6, 2500];
const NONE: ReadonlyMap<string, Progress> = new Map();
const order: readonly Progress['reached'][] = ['bench', 'inspection', 'route', 'holding', 'drawing'];

/** What is on: the job in hand first, then what is nearest to the metal. */
export function OnNow() {
  const { units } = useUnits('mm');
  const { data } = useSWR('jobs', () => listSummaries(), { revalidateOnMount: true });
  const [known, setKnown] = useState(NONE);
  const [still, setStill] = useState(false);
  const jobs = useMemo(() => data?.summaries ?? [], [data]);
  const stateOf = (of: Summary) => known.get(of.id) ?? of.progress;
  // the line is what this page is for
  useEffect(() => {
    const waits = setTimeout(() => setStill(true), STILL);
    return () => clearTimeout(waits);
  }, []);
  const asked = useMemo(() => jobs.slice(0, 2 * SHOWN), [jobs]);
  if (jobs.length === 0) return null;
  const rank = (of: Summary) => {
    const reached = stateOf(of)?.reached;
    return reached === undefined ? order.length : order.indexOf(reached);
  };
  const shown = jobs.toSorted((a, b) => rank(a) - rank(b) || b.saved.localeCompare(a.saved)).slice(0, SHOWN);
  return (
    <section aria-label="What is on" className="on-now">
      {still && (
        <Suspense fallback={null}>
          <HowFar jobs={asked} onKnown={setKnown} />
        </Suspense>
      )}
      <h2>
        What is on <Link to="/jobs">all {jobs.length}</Link>
      </h2>
      <div className="samples">
        {shown.map((of) => {
          const state = stateOf(of);
          return (
            <Link key={of.id} to={`/jobs/${of.id}/${state?.reached ?? 'drawing'}`} className="on-job">
              <SmallOutline outline={of.outline} long={of.long} radius={of.radius} />
              <strong>{of.name}</strong>
              <span className="quiet size-14">{state ? `${state.reached}: ${writeSentence(state.next, units)}` : ''}</span>
            </Link>
          );
        })}
      </div>
    </section>
  );
}
