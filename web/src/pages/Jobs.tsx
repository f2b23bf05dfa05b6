import {
  blankJob,
  type Job,
  materialOf,
  parseJobText,
  plan,
  progressOf,
  readDrawing,
  type StoredJob,
  type StoredShop,
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
  const { data: shop } = useSWR('shop', () => loadShop());
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
      await mutate();
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
                <JobLine key={j.id} stored={j} shop={shop} onDelete={() => void remove(j)} onCopy={() => void another(j.job)} />
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
  readonly shop: StoredShop | undefined;
  readonly onDelete: () => void;
  readonly onCopy: () => void;
}) {
  const { job, id } = stored;
  const { units } = useUnits('mm');
  const { data: log } = useSWR(['log', id], () => loadLog(id));
  const { data: progress } = useSWR(shop && log ? ['progress', id, stored.revision, shop.revision, log.length] : null, () =>
    shop ? progressOf(job, plan(job, shop.shop), log ?? []) : undefined,
  );
  const to = progress?.reached ?? 'drawing';
  return (
    <tr>
      <td>
        <Link to={`/jobs/${id}/${to}`} tabIndex={-1} aria-hidden="true">
          <SmallPart part={readDrawing(job.drawing)} />
        </Link>
      </td>
      <td>
        <Link to={`/jobs/${id}/${to}`}>
          <strong>{job.name}</strong>
        </Link>
        <div className="quiet">{job.customer}</div>
      </td>
      <td className="fig">{job.pieces}</td>
      <td>{materialOf(job.drawing.material).name}</td>
      <td>{progress?.reached}</td>
      <td>{progress && writeSentence(progress.next, units)}</td>
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
