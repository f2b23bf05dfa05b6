import { blankJob, type Job, parseJobText, type StoredShop } from '@obra/core/document';
import { writeJobFile } from '@obra/core/exchange';
import { type Sentence, writeSentence } from '@obra/core/quantity';
import { materialOf } from '@obra/core/standards';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { Button, Dropdown } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { download, fileName } from '../../shell/download';
import { Head } from '../../shell/Head';
import { Notice } from '../../shell/Notice';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { SmallOutline } from '../../bar';
import { type Deleted, listDeleted } from '../../data/bin';
import { loadLog, loadUnread } from '../../data/entries';
import { createJob, deleteJob, importJob, type Imported, listAside, listSummaries, loadJob, putBack, type Summary, summarise } from '../../data/jobs';
import { forget } from '../../data/session';
import { loadShop } from '../../data/shopStore';
import { keysUnder } from '../../data/store';
import { keepSummary } from '../../data/summaries';
import { Unwritable } from '../../data/unwritable';
import { askProgress } from '../../work/usePlan';

const TOO_LARGE = 20_000_000;

/** What is on: every job of this browser, how far it is and what comes next. */
export function Jobs() {
  useTitle('Jobs');
  const { data, mutate, error } = useSWR<Awaited<ReturnType<typeof listSummaries>>, Error>('jobs', () => listSummaries(), {
    revalidateOnMount: true,
  });
  const { data: aside, mutate: sortedOut } = useSWR('aside', () => listAside(), { revalidateOnMount: true });
  const { data: deleted, mutate: again } = useSWR('bin', () => listDeleted(), { revalidateOnMount: true });
  const { data: shop } = useSWR('shop', () => loadShop());
  const [says, setSays] = useState<string>();
  const [gone, setGone] = useState<{ readonly id: string; readonly name: string }>();
  const page = useRef<HTMLElement>(null);
  const without = data?.without;
  // jobs whose summary is missing (a first visit after an update): made a few at a time, then the list is drawn again
  useEffect(() => {
    // one that cannot be read is set aside on the way
    if (without && without.length > 0) void summarise(without).then(() => Promise.all([mutate(), sortedOut()]));
  }, [without, mutate, sortedOut]);
  const file = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const { units } = useUnits('mm');
  const guarded = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (cause) {
      setSays(
        cause instanceof Unwritable
          ? `It was not stored: ${writeSentence(cause.says, units)}. Nothing was changed.`
          : 'This browser did not store it (storage full or blocked). Nothing that was stored is lost.',
      );
    }
    await Promise.all([mutate(), again()]);
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
      setSays(cameIn(await importJob(parsed.value)));
    });
  const remove = ({ id, name }: Summary) =>
    guarded(async () => {
      await deleteJob(id);
      forget(id);
      setSays(undefined);
      setGone({ id, name });
    });
  const bringBack = (job: Deleted) =>
    guarded(async () => {
      const { job: back } = await putBack(job);
      forget(job.id);
      setSays(`${back.name} is back, with its record.`);
    });
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
      const stored = await createJob(blankJob('New job', units));
      void navigate(`/jobs/${stored.id}/drawing`);
    });
  return (
    <div className="page">
      <Head />
      {says !== undefined && <Notice onClose={() => setSays(undefined)}>{says}</Notice>}
      {gone && (
        <Notice onClose={() => setGone(undefined)}>
          {gone.name} is deleted; it can be put back below for 30 days.{' '}
          <Button
            variant="link"
            onClick={() => {
              const job = deleted?.find((d) => d.id === gone.id);
              setGone(undefined);
              if (job) void bringBack(job);
            }}>
            undo
          </Button>
        </Notice>
      )}
      <main className="scroll" ref={page}>
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
        {data?.summaries.length === 0 && data.without.length === 0 && (
          <p>
            No jobs yet. <Link to="/">Type a part on one line</Link> and keep it, or make a new job.
          </p>
        )}
        {data && data.summaries.length > 0 && (
          <JobTable
            summaries={data.summaries}
            shop={shop}
            scroll={page}
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

function cameIn({ stored, copy, came, stayed, redated }: Imported): string {
  const entries = (n: number) => `${String(n)} ${n === 1 ? 'entry' : 'entries'} of the Bench`;
  return [
    copy ? `It differs from the job here, which stays; the file’s is “${stored.job.name}”.` : `${stored.job.name} is in the list.`,
    ...(came > 0 ? [`${entries(came)} came in.`] : []),
    ...(stayed > 0 ? [`${entries(stayed)} differ from those here, which stay.`] : []),
    ...(redated > 0 ? [`${entries(redated)} were dated in the future, and are dated when the file was written.`] : []),
  ].join(' ');
}

async function exported(id: string): Promise<void> {
  const stored = await loadJob(id);
  if (stored) download(fileName(stored.job.name), writeJobFile(stored, await loadLog(id), await loadUnread(id)));
}

interface JobTableProps {
  readonly summaries: readonly Summary[];
  readonly shop: StoredShop | undefined;
  readonly scroll: RefObject<HTMLElement | null>;
  readonly onDelete: (job: Summary) => void;
  readonly onCopy: (id: string) => void;
  readonly onExport: (id: string) => void;
}

/** Height of a line, px. */
const LINE = 57;
/** Up to so many lines are simply there; more are drawn in a window. */
const ALL = 60;

function JobTable({ summaries, scroll, ...rest }: JobTableProps) {
  const many = summaries.length > ALL;
  // eslint-disable-next-line react-hooks/incompatible-library -- its rows are read here and handed to no memo
  const rows = useVirtualizer({
    count: many ? summaries.length : 0,
    getScrollElement: () => scroll.current,
    estimateSize: () => LINE,
    overscan: 6,
    initialRect: { width: 1280, height: 800 },
  });
  const shown = rows.getVirtualItems();
  const above = shown[0]?.start ?? 0;
  const below = many ? rows.getTotalSize() - (shown.at(-1)?.end ?? 0) : 0;
  return (
    <table className="joblist" aria-rowcount={summaries.length + 1}>
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
        {many && above > 0 && <tr aria-hidden="true" style={{ height: above }} />}
        {(many ? shown.flatMap((row) => summaries[row.index] ?? []) : summaries).map((j) => (
          <JobLine key={j.id} of={j} {...rest} />
        ))}
        {many && below > 0 && <tr aria-hidden="true" style={{ height: below }} />}
      </tbody>
    </table>
  );
}

/** How far a job is: as kept with its summary, or worked out apart from the page and kept for the next time. */
async function progressNow(of: Summary, shop: StoredShop): Promise<Summary['progress']> {
  const asOf = `${String(of.revision)}/${String(shop.revision)}/${String((await keysUnder(`log/${of.id}/`)).length)}`;
  if (of.progress?.of === asOf) return of.progress;
  const stored = await loadJob(of.id);
  if (!stored) return undefined;
  const progress = { of: asOf, ...(await askProgress(stored.job, shop.shop, await loadLog(of.id))) };
  await keepSummary({ ...of, progress });
  return progress;
}

type JobLineProps = Omit<JobTableProps, 'summaries' | 'scroll'> & { readonly of: Summary };

function JobLine({ of, shop, onDelete, onCopy, onExport }: JobLineProps) {
  const { id, name } = of;
  const { units } = useUnits('mm');
  const { data: progress = of.progress } = useSWR(
    shop ? ['progress', id, of.revision, shop.revision] : null,
    () => (shop ? progressNow(of, shop) : undefined),
    { revalidateOnMount: true },
  );
  const to = progress?.reached ?? 'drawing';
  const next: Sentence = progress?.next ?? [];
  return (
    <tr>
      <td>
        <Link to={`/jobs/${id}/${to}`} tabIndex={-1} aria-hidden="true">
          <SmallOutline outline={of.outline} long={of.long} radius={of.radius} />
        </Link>
      </td>
      <td>
        <Link to={`/jobs/${id}/${to}`}>
          <strong>{name}</strong>
        </Link>
        <div className="quiet">{of.customer}</div>
      </td>
      <td className="fig">{of.pieces}</td>
      <td>{materialOf(of.material).name}</td>
      <td>{progress?.reached}</td>
      <td>{writeSentence(next, units)}</td>
      <td className="text-end">
        <Dropdown align="end">
          <Dropdown.Toggle variant="outline-dark" size="sm" aria-label={`actions for ${name}`}>
            actions
          </Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Item as="button" onClick={() => onCopy(id)}>
              duplicate
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => onExport(id)}>
              export as a file
            </Dropdown.Item>
            <Dropdown.Item as="button" onClick={() => onDelete(of)}>
              delete
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
      </td>
    </tr>
  );
}
