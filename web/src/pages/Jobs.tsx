import {
  benchState,
  blankJob,
  type Entry,
  type Job,
  materialOf,
  parseJobText,
  plan as planJob,
  readDrawing,
  type Shop,
  type StoredJob,
  writeJobFile,
  writeSentence,
} from '@obra/core';
import { useRef, useState } from 'react';
import { Button, Dropdown } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { download, fileName } from '../app/download';
import { Head } from '../app/Head';
import { Notice } from '../app/Notice';
import { useUnits } from '../app/units';
import { useTitle } from '../app/useTitle';
import { SmallPart } from '../bar';
import { type JobList, createJob, deleteJob, importJob, listJobs, loadLog, loadShop } from '../data/jobs';
import { forget } from '../data/session';

const TOO_LARGE = 20_000_000;

/** What is on: every job of this browser, how far it is and what comes next. */
export function Jobs() {
  useTitle('Jobs');
  const { data, mutate, error } = useSWR<JobList, Error>('jobs', () => listJobs(), { revalidateOnMount: true });
  const { data: shop } = useSWR('shop-of-list', () => loadShop());
  const [says, setSays] = useState<string>();
  const [undo, setUndo] = useState<{ readonly says: string; readonly act: () => Promise<void> }>();
  const file = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const { units } = useUnits('mm');
  const guarded = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch {
      setSays('This browser did not store it (storage full or blocked). Nothing that was stored is lost.');
    }
    await mutate();
  };
  const take = (chosen: File | undefined) =>
    guarded(async () => {
      if (!chosen) return;
      if (chosen.size > TOO_LARGE) {
        setSays(`${chosen.name} is ${Math.round(chosen.size / 1e6)} MB; a job file is far smaller. Nothing was changed.`);
        return;
      }
      const parsed = parseJobText(await chosen.text());
      if (!parsed.ok) {
        setSays(`${chosen.name}: ${writeSentence(parsed.problems[0]?.says ?? [], units)}. Nothing was changed.`);
        return;
      }
      const stored = await importJob(parsed.value);
      setSays(`${stored.job.name} is in the list.`);
    });
  const remove = (job: StoredJob) =>
    guarded(async () => {
      const back = await deleteJob(job.id);
      forget(job.id);
      setUndo({
        says: `${job.job.name} is deleted.`,
        act: async () => {
          await back();
          forget(job.id);
        },
      });
    });
  const another = (job: Job) =>
    guarded(async () => {
      const rest = { ...job };
      delete rest.issue;
      await createJob({ ...rest, name: `${job.name} (copy)` });
    });
  const fresh = () =>
    guarded(async () => {
      const stored = await createJob(blankJob('New job', units));
      void navigate(`/jobs/${stored.id}/drawing`);
    });
  return (
    <div className="page">
      <Head />
      {says !== undefined && <Notice onClose={() => setSays(undefined)}>{says}</Notice>}
      {undo && (
        <Notice onClose={() => setUndo(undefined)}>
          {undo.says}{' '}
          <Button
            variant="link"
            onClick={() => {
              void guarded(undo.act);
              setUndo(undefined);
            }}>
            undo
          </Button>
        </Notice>
      )}
      <main className="scroll">
        <div className="d-flex gap-2 align-items-center mb-3">
          <h1 className="me-auto">Jobs</h1>
          <Button onClick={() => void fresh()}>new job</Button>
          <Button variant="outline-dark" onClick={() => file.current?.click()}>
            import a job file
          </Button>
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            hidden
            aria-label="Job file"
            onChange={(e) => {
              void take(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </div>
        {error !== undefined && (
          <p role="alert">This browser refuses to open its storage. Type a part on the opening page; nothing can be kept here.</p>
        )}
        {data?.jobs.length === 0 && (
          <p>
            No jobs yet. <Link to="/">Type a part on one line</Link> and keep it, or make a new job.
          </p>
        )}
        {data && data.jobs.length > 0 && (
          <table className="joblist">
            <thead>
              <tr>
                <th>part</th>
                <th>job</th>
                <th>pieces</th>
                <th>material</th>
                <th>stage reached</th>
                <th>next</th>
                <th>
                  <span className="visually-hidden">actions</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {data.jobs.map((j) => (
                <JobLine key={j.id} stored={j} shop={shop?.shop} onDelete={() => void remove(j)} onCopy={() => void another(j.job)} />
              ))}
            </tbody>
          </table>
        )}
        {data && data.aside.length > 0 && (
          <section className="mt-4">
            <h2>Set aside</h2>
            <p className="quiet">These records could not be read by this version. They are kept as they are.</p>
            <ul>
              {data.aside.map((a) => (
                <li key={a.key}>
                  {writeSentence(a.says, units) || 'a record'}{' '}
                  <Button variant="link" onClick={() => download(`${a.key.replace(/[^a-z0-9]+/gi, '-')}.json`, JSON.stringify(a.raw, null, 1))}>
                    export it
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
    </div>
  );
}

function JobLine({
  stored,
  shop,
  onDelete,
  onCopy,
}: {
  readonly stored: StoredJob;
  readonly shop: Shop | undefined;
  readonly onDelete: () => void;
  readonly onCopy: () => void;
}) {
  const { job, id } = stored;
  const { data: log } = useSWR(['log', id], () => loadLog(id));
  const { data: stage } = useSWR(shop && log ? ['stage', id, stored.revision, log.length] : null, () => stageOf(job, shop, log ?? []));
  const stages = stage ?? { reached: '', next: '', to: 'drawing' };
  return (
    <tr>
      <td>
        <Link to={`/jobs/${id}/${stages.to}`} tabIndex={-1} aria-hidden="true">
          <SmallPart part={readDrawing(job.drawing)} />
        </Link>
      </td>
      <td>
        <Link to={`/jobs/${id}/${stages.to}`}>
          <strong>{job.name}</strong>
        </Link>
        <div className="quiet">{job.customer}</div>
      </td>
      <td className="fig">{job.pieces}</td>
      <td>{materialOf(job.drawing.material).name}</td>
      <td>{stages.reached}</td>
      <td>{stages.next}</td>
      <td className="text-end">
        <Dropdown align="end">
          <Dropdown.Toggle variant="outline-dark" size="sm" aria-label={`actions for ${job.name}`}>
            actions
          </Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Item as="button" onClick={onCopy}>
              duplicate
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => download(fileName(job.name), writeJobFile(stored, log ?? []))}>
              export as a file
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={onDelete}>
              delete
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
      </td>
    </tr>
  );
}

/** How far a job is and what comes next, in words. */
function stageOf(job: Job, shop: Shop | undefined, log: readonly Entry[]): { readonly reached: string; readonly next: string; readonly to: string } {
  if (!shop) return { reached: '', next: '', to: 'drawing' };
  const plan = planJob(job, shop);
  const stops = plan.findings.filter((f) => f.severity === 'stop').length;
  if (plan.reached === 'drawing')
    return { reached: 'drawing', next: job.drawing.outside.length === 0 ? 'type the first row' : 'mend the drawing', to: 'drawing' };
  if (plan.reached === 'holding') return { reached: 'holding', next: 'choose a bar', to: 'holding' };
  if (!job.issue)
    return { reached: 'route', next: stops > 0 ? `${stops} stop${stops > 1 ? 's' : ''} to clear` : 'give it out to the Bench', to: 'route' };
  const state = benchState(job, plan, log);
  if (state.at === null) return { reached: 'inspection', next: 'inspect and file', to: 'inspection' };
  const all = plan.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  return {
    reached: 'bench',
    next: `piece ${state.at.piece}, step ${all.findIndex((s) => s.id === state.at?.step) + 1} of ${all.length}`,
    to: 'bench',
  };
}
