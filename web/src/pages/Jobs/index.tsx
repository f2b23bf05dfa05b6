import { blankJob, blankRow, type Job } from '@obra/core/document';
import { writeJobFile } from '@obra/core/exchange';
import { writeSentence } from '@obra/core/quantity';
import { FileInput, Plus } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { download, fileName } from '../../shell/download';
import { Head } from '../../shell/Head';
import { useFiles } from '../../shell/files';
import { tell } from '../../shell/says';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { type Deleted, listDeleted } from '../../data/bin';
import { cursorState } from '../../data/cellOfJob';
import { newId } from '../../data/ids';
import { createJob, deleteJob, listAside, listSummaries, loadJob, putBack, type Summary, summarise } from '../../data/jobs';
import { forget } from '../../data/session';
import { loadShop } from '../../data/shopStore';
import { notStored, takeJob } from '../../data/takeJob';
import { wholeLog } from '../../data/wholeLog';
import { JobTable } from './JobTable';
import { typePart } from '../../words/titles';

/** What is on: every job of this browser, how far it is and what comes next. */
export function Jobs() {
  useTitle('Jobs');
  const { data, mutate, error } = useSWR<Awaited<ReturnType<typeof listSummaries>>, Error>('jobs', () => listSummaries(), {
    revalidateOnMount: true,
  });
  const { data: aside, mutate: sortedOut } = useSWR('aside', () => listAside(), { revalidateOnMount: true });
  const { data: deleted, mutate: again } = useSWR('bin', () => listDeleted(), { revalidateOnMount: true });
  const { data: shop } = useSWR('shop', () => loadShop());
  const page = useRef<HTMLElement>(null);
  const without = data?.without.join(' ') ?? '';
  // jobs whose summary is missing (a first visit after an update): made a few at a time, then the list is drawn again; those that storage refuses are not asked for again
  useEffect(() => {
    // one that cannot be read is set aside on the way
    if (without !== '') void summarise(without.split(' ')).then(() => Promise.all([mutate(), sortedOut()]));
  }, [without, mutate, sortedOut]);
  const navigate = useNavigate();
  const { units } = useUnits('mm');
  const guarded = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (cause) {
      tell(notStored(cause, units));
    }
    await Promise.all([mutate(), again()]);
  };
  const take = (chosen: File) =>
    guarded(async () => {
      tell((await takeJob(chosen, units)).says);
    });
  const choose = useFiles('Job file', '.json,application/json', take);
  const remove = ({ id, name }: Summary) =>
    guarded(async () => {
      await deleteJob(id);
      forget(id);
      tell(`${name} is deleted; it can be put back below for 30 days.`, () => void bringBackDeleted(id));
    });
  const bringBack = (job: Deleted) =>
    guarded(async () => {
      const { job: back } = await putBack(job);
      forget(job.id);
      tell(`${back.name} is back, with its record.`);
    });
  const bringBackDeleted = async (id: string) => {
    const job = (await listDeleted()).find((d) => d.id === id);
    if (job) await bringBack(job);
  };
  const another = (id: string) =>
    guarded(async () => {
      const stored = await loadJob(id);
      if (!stored) return;
      const rest: { -readonly [K in keyof Job]: Job[K] } = { ...stored.job };
      delete rest.issue;
      await createJob({ ...rest, name: `${rest.name} (copy)` });
    });
  const fresh = () =>
    guarded(async () => {
      // it opens with the cursor in its first row
      const blank = blankJob('New job', units);
      const row = blankRow(newId(), units);
      const stored = await createJob({ ...blank, drawing: { ...blank.drawing, outside: [row] } });
      void navigate(`/jobs/${stored.id}/drawing`, { state: cursorState(`${row.id}.size`) });
    });
  const some = data !== undefined && data.summaries.length > 0;
  const tools = (
    <>
      <Button onClick={() => void fresh()}>
        <Plus size={16} aria-hidden /> new job
      </Button>
      <Button variant="outline-dark" onClick={choose}>
        <FileInput size={16} aria-hidden /> import a job file
      </Button>
    </>
  );
  return (
    <div className="page">
      <Head />
      <main className="scroll" ref={page}>
        {!some && (
          <div className="d-flex gap-2 align-items-center mb-3">
            <h1 className="me-auto">Jobs</h1>
            {tools}
          </div>
        )}
        {error !== undefined && (
          <p role="alert">This browser refuses to open its storage. Type a part on the opening page; nothing can be kept here.</p>
        )}
        {data?.summaries.length === 0 && data.without.length === 0 && (
          <p>
            No jobs yet. <Link to="/">{typePart}</Link> and keep it, or make a new job.
          </p>
        )}
        {some && (
          <JobTable
            summaries={data.summaries}
            shop={shop}
            scroll={page}
            tools={tools}
            onDelete={(job) => void remove(job)}
            onCopy={(id) => void another(id)}
            onExport={(id) => void guarded(() => exported(id))}
          />
        )}
        {deleted && deleted.length > 0 && (
          <section className="mt-4" aria-label="Deleted">
            <h2>Deleted</h2>
            <ul className="list-unstyled d-grid gap-1">
              {deleted.map((d) => (
                <li key={d.id}>
                  {d.stored.job.name} <span className="quiet">can be put back for {d.daysLeft === 1 ? 'one more day' : `${d.daysLeft} days`}</span>{' '}
                  <Button variant="link" aria-label={`put back ${d.stored.job.name}`} onClick={() => void bringBack(d)}>
                    put back
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
        {aside && aside.length > 0 && (
          <section className="mt-4">
            <h2>Set aside</h2>
            <p className="quiet">These records could not be read by this version. They are kept as they are.</p>
            <ul>
              {aside.map((a) => (
                <li key={a.key}>
                  {writeSentence(a.says, units) || asideWords(a.key)}{' '}
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

const asideWords = (key: string): string =>
  key.startsWith('aside/shop') ? 'a shop' : key.startsWith('aside/log/') ? 'an entry of a Bench' : 'a record';

async function exported(id: string): Promise<void> {
  const stored = await loadJob(id);
  if (stored) {
    const { log, ...carried } = await wholeLog(id);
    download(fileName(stored.job.name), writeJobFile(stored, log, carried));
  }
}
