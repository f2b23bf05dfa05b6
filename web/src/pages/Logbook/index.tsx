import { chipLessons, found, type JobRecord, lessonsOf, recordOf, shownIn, stringsIn } from '@obra/core/bench';
import type { Lesson, Shop } from '@obra/core/document';
import type { Kept } from '@obra/core/exchange';
import { plan } from '@obra/core/planner';
import { writeMinutes } from '@obra/core/quantity';
import { useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import useSWR from 'swr';
import { Head } from '../../shell/Head';
import { tell } from '../../shell/says';
import { useUnits } from '../../shell/units';
import { dayOf } from '../../shell/dates';
import { useTitle } from '../../shell/useTitle';
import { SmallPart } from '../../bar';
import { everything } from '../../data/backup';
import { now } from '../../data/ids';
import { loadShop } from '../../data/shopStore';
import { FigureNumber } from '../../slate';
import { BackUp } from './BackUp';
import { Lessons } from './Lessons';
import { Readings } from './Readings';

interface Line {
  readonly kept: Kept;
  readonly record: JobRecord;
}

/** What was made, how it measured, what was learned; and everything in one file. */
export function Logbook() {
  useTitle('Logbook');
  const { units } = useUnits('mm');
  const { data: kept, error, mutate } = useSWR<readonly Kept[], Error>('logbook', () => everything(), { revalidateOnMount: true });
  const { data: shop, mutate: again } = useSWR('shop', () => loadShop(), { revalidateOnMount: true });
  const [asked, setAsked] = useState('');
  const [open, setOpen] = useState<string>();
  const lines = useMemo(
    () =>
      (kept ?? []).flatMap((k): Line[] => {
        const record = shop && recordOf(k.stored, k.log, shop.shop);
        return record ? [{ kept: k, record }] : [];
      }),
    [kept, shop],
  );
  const proposed = useMemo(
    () =>
      shop
        ? lessonsFrom(
            lines.map(({ kept: of }) => of),
            shop.shop,
          )
        : [],
    [lines, shop],
  );
  const shown = lines.filter(({ record }) => found(record, asked)).toSorted((a, b) => ((a.record.ended ?? '') < (b.record.ended ?? '') ? 1 : -1));
  return (
    <div className="page">
      <Head />
      <main className="scroll">
        <div className="d-flex gap-3 align-items-center mb-3 flex-wrap">
          <h1 className="me-auto">Logbook</h1>
          <Form.Control
            className="wide-260"
            type="search"
            value={asked}
            aria-label="Find in the logbook"
            placeholder="part, customer, size, note"
            onChange={(e) => setAsked(e.target.value)}
          />
        </div>
        {error !== undefined && <p role="alert">This browser refuses to open its storage: nothing is kept here, and nothing can be looked up.</p>}
        {kept && lines.length === 0 && (
          <p>
            Nothing was made yet. A job stands here from its first entry at the <Link to="/jobs">Bench</Link>.
          </p>
        )}
        {lines.length > 0 && shown.length === 0 && <p>No job with “{asked}”.</p>}
        {shown.length > 0 && (
          <table className="joblist" aria-label="What was made">
            <thead>
              <tr>
                <th>part</th>
                <th>job</th>
                <th>pieces</th>
                <th>last at the Bench</th>
                <th>measured</th>
                <th>time</th>
                <th>
                  <span className="visually-hidden">readings</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {shown.map(({ kept: { stored }, record }) => (
                <RecordLine
                  key={stored.id}
                  record={record}
                  name={stored.job.name}
                  customer={stored.job.customer}
                  units={units}
                  open={open === stored.id}
                  onOpen={() => setOpen(open === stored.id ? undefined : stored.id)}
                />
              ))}
            </tbody>
          </table>
        )}
        {shop && (
          <Lessons
            shop={shop.shop}
            units={units}
            proposed={proposed}
            onKept={() => void again()}
            onRefused={() => tell('This browser did not store it (storage full or blocked). Nothing that was stored is lost.')}
          />
        )}
        <BackUp
          onSays={tell}
          onRestored={() => {
            void mutate();
            void again();
          }}
        />
      </main>
    </div>
  );
}

function RecordLine({
  record,
  name,
  customer,
  units,
  open,
  onOpen,
}: {
  readonly record: JobRecord;
  readonly name: string;
  readonly customer: string | undefined;
  readonly units: 'mm' | 'in';
  readonly open: boolean;
  readonly onOpen: () => void;
}) {
  const { pieces, verdicts, time, ended, part, id } = record;
  const out = verdicts.filter((v) => v.says === 'over' || v.says === 'under').length;
  const within = verdicts.filter((v) => v.says === 'in').length;
  return (
    <>
      <tr>
        <td>
          <SmallPart part={part} />
        </td>
        <td>
          <Link to={`/jobs/${id}/inspection`}>
            <strong>{name}</strong>
          </Link>
          <div className="quiet">{customer}</div>
        </td>
        <td className="fig">
          {pieces.begun}
          {pieces.scrapped > 0 && <span className="out"> {pieces.scrapped} scrapped</span>}
        </td>
        <td className="fig">{ended && dayOf(ended)}</td>
        <td>
          {verdicts.length === 0 ? (
            <span className="quiet">nothing</span>
          ) : (
            <span className={out > 0 ? 'out' : 'in'}>
              {[
                ...(out > 0 ? [`✗ ${String(out)} out`] : []),
                ...(within > 0 ? [`✓ ${String(within)} in`] : []),
                ...(verdicts.length > out + within ? [`? ${String(verdicts.length - out - within)} not told`] : []),
              ].join(', ')}
            </span>
          )}
        </td>
        <td>
          <FigureNumber figure={time} units={units} text={writeMinutes(time.value)} />
        </td>
        <td className="text-end">
          <button type="button" className="btn btn-outline-dark btn-sm" aria-expanded={open} aria-label={`readings of ${name}`} onClick={onOpen}>
            readings
          </button>
        </td>
      </tr>
      {open && (
        <tr>
          <td colSpan={7}>
            <Readings record={record} units={units} />
          </td>
        </tr>
      )}
    </>
  );
}

/** What the records of jobs that were given out show of lathe and tools. */
function lessonsFrom(kept: readonly Kept[], shop: Shop): readonly Lesson[] {
  const made = kept.flatMap(({ stored, log }) => (stored.job.issue ? [{ job: stored.job, plan: plan(stored.job, shop), log }] : []));
  return [
    ...lessonsOf(
      made.flatMap((m) => shownIn(m.job, m.plan, m.log)),
      shop,
      now(),
    ),
    ...chipLessons(
      made.flatMap((m) => stringsIn(m.plan, m.log)),
      shop,
      now(),
    ),
  ];
}
