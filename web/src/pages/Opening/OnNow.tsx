import type { Progress } from '@obra/core/bench';
import { writeSentence } from '@obra/core/quantity';
import { useEffect, useMemo } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { listSummaries, type Summary } from '../../data/jobs';
import { loadShop } from '../../data/shopStore';
import { useUnits } from '../../shell/units';
import { SmallOutline } from '../../small';
import { useProgress } from '../../work/useProgress';

/** So many jobs are shown, and how long they wait for the page to be still, ms. */
const [SHOWN, STILL] = [6, 1500];
const order: readonly Progress['reached'][] = ['bench', 'inspection', 'route', 'holding', 'drawing'];

/** What is on: the job in hand first, then what is nearest to the metal. */
export function OnNow() {
  const { units } = useUnits('mm');
  const { data } = useSWR('jobs', () => listSummaries(), { revalidateOnMount: true });
  const { data: shop } = useSWR('shop', () => loadShop());
  const { known, want } = useProgress(shop);
  const jobs = useMemo(() => data?.summaries ?? [], [data]);
  const stateOf = (of: Summary) => known.get(of.id) ?? of.progress;
  // the line is what this page is for: how far the jobs are is looked at when it stands
  useEffect(() => {
    const waits = setTimeout(() => want(jobs.slice(0, 2 * SHOWN)), STILL);
    return () => clearTimeout(waits);
  }, [want, jobs]);
  if (jobs.length === 0) return null;
  const rank = (of: Summary) => {
    const reached = stateOf(of)?.reached;
    return reached === undefined ? order.length : order.indexOf(reached);
  };
  const shown = jobs.toSorted((a, b) => rank(a) - rank(b) || b.saved.localeCompare(a.saved)).slice(0, SHOWN);
  return (
    <section aria-label="What is on" className="on-now">
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
