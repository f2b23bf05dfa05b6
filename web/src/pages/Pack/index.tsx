import './pack.css';
import { readDrawing } from '@obra/core/drawing';
import { materialOf } from '@obra/core/standards';
import { Printer } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useParams, useSearchParams } from 'react-router';
import { useJob } from '../../data/session';
import { useShop } from '../../data/shopSession';
import { kept } from '../../data/local';
import { Head } from '../../shell/Head';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { usePlan } from '../../work/usePlan';
import { DrawingPage } from './DrawingPage';
import { FetchPage } from './FetchPage';
import { InspectionPage } from './InspectionPage';
import { SettingsPage } from './SettingsPage';
import { noSuchJob } from '../../words/found';

const PAPER = 'obra-paper';
const papers = ['A4', 'letter'] as const;
type Paper = (typeof papers)[number];

/** Everything of a job on paper from one press: drawing, settings, sheet, what to fetch, a sheet of inspection for each piece. Black and white first. */
export function Pack() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const open = useJob(id);
  const { shop } = useShop();
  const job = open?.job;
  const { units } = useUnits(job?.units ?? 'mm');
  const { plan, older } = usePlan(id, job, shop);
  const part = useMemo(() => (job ? readDrawing(job.drawing) : undefined), [job]);
  const [paper, setPaper] = useState<Paper>(() => papers.find((p) => p === kept.get(PAPER)) ?? (units === 'in' ? 'letter' : 'A4'));
  useTitle(job ? `${job.name}, on paper` : '');
  const route = plan?.routes[0];
  const ready =
    job !== undefined &&
    part !== undefined &&
    shop !== undefined &&
    plan !== undefined &&
    !older &&
    (plan.reached === 'proof' || (!route && plan.findings.some((f) => f.severity === 'stop')));
  const asked = search.get('print') === '1';
  useEffect(() => {
    if (!ready || !asked) return undefined;
    // when the pictures stand
    const waits = setTimeout(() => window.print(), 600);
    return () => clearTimeout(waits);
  }, [ready, asked]);
  const choose = (to: Paper) => {
    setPaper(to);
    kept.set(PAPER, to);
  };
  if (open === null)
    return (
      <div className="page">
        <Head />
        <main className="scroll">
          <h1>{noSuchJob}</h1>
          <p>
            <Link to="/jobs">Jobs</Link>
          </p>
        </main>
      </div>
    );
  return (
    <div className="page">
      <Head>
        <h1 className="job">{job?.name ?? 'Opening…'}</h1>
        <Link to={`/jobs/${id}/route`}>back to the job</Link>
        <Form.Select
          size="sm"
          aria-label="Paper"
          className="wide-120"
          value={paper}
          onChange={(e) => choose(e.target.value === 'letter' ? 'letter' : 'A4')}>
          <option value="A4">A4</option>
          <option value="letter">Letter</option>
        </Form.Select>
        <Button variant="dark" disabled={!ready} onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> print
        </Button>
      </Head>
      <style>{`@page { size: ${paper} portrait; margin: 12mm 12mm 14mm; } @page wide { size: ${paper} landscape; margin: 8mm; }`}</style>
      <main className={`pack ${paper}`} aria-label="The pack" data-ready={ready}>
        {!ready && <p className="quiet p-3">the pack is put together</p>}
        {ready && (
          <>
            <DrawingPage job={job} part={part} units={units} material={materialOf(job.drawing.material).name} findings={plan.findings} />
            {route ? (
              <>
                <SettingsPage job={job} route={route} part={plan.part} shop={shop} units={units} />
                <FetchPage job={job} route={route} plan={plan} shop={shop} units={units} />
                {Array.from({ length: job.pieces }, (_, i) => (
                  <InspectionPage key={i} job={job} part={part} shop={job.issue?.kit ?? shop} units={units} piece={i + 1} />
                ))}
              </>
            ) : (
              <section className="leaf">
                <p>There is no route yet: what stops it stands in the job.</p>
              </section>
            )}
          </>
        )}
      </main>
    </div>
  );
}
