import { type Together, togetherOf, type Verdict } from '@obra/core/inspection';
import { liveEntries } from '@obra/core/document';
import { type ReactNode, lazy, Suspense, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { SizeLimits } from '../../sheet';
import { FigureNumber } from '../../slate';
import type { JobView } from './view';

// the charts come when one is looked at
const RunChart = lazy(() => import('../../slate/RunChart').then((m) => ({ default: m.RunChart })));

interface Props {
  readonly view: JobView;
  readonly verdicts: readonly Verdict[];
  readonly nameOf: (size: Together['size']) => string;
  /** the same with its nominal to be opened */
  readonly called: (size: Together['size']) => ReactNode;
}

/** Every size over all pieces: how many are measured, where they lie, how they spread, and whether this way of making holds the limits. */
export function AllPieces({ view, verdicts, nameOf, called }: Props) {
  const { part, job, log, units } = view;
  const [chosen, setChosen] = useState<string>();
  const scrapped = useMemo(() => new Set(liveEntries(log).flatMap((e) => (e.kind === 'scrapped' ? [e.piece] : []))), [log]);
  const all = useMemo(
    () => togetherOf(part, verdicts, job.pieces, scrapped).filter((t) => t.measured > 0 || (t.wanted > 0 && t.size.limits?.from !== 'general')),
    [part, verdicts, job.pieces, scrapped],
  );
  if (job.pieces < 2 || all.length === 0) return null;
  const shown = all.find((t) => t.size.id === chosen);
  return (
    <section aria-label="All pieces together" className="mt-4">
      <h2>All pieces together</h2>
      <p className="quiet mb-2">
        A critical size is measured on every piece, another with limits of its own on the first, each fifth and the last, a plain one on the first and
        the last. A capability is told of ten pieces and more.
      </p>
      <div className="wide-table">
        <table className="plain together">
          <thead>
            <tr>
              <th>no.</th>
              <th>size</th>
              <th>measured</th>
              <th>mean, {units}</th>
              <th>spread, {units}</th>
              <th>capability</th>
              <th>out</th>
              <th>
                <span className="visually-hidden">run</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {all.map((t) => (
              <tr key={t.size.id}>
                <td className="fig">{t.size.balloon}</td>
                <td>
                  {called(t.size)}
                  {t.size.limits && (
                    <span className="quiet">
                      {' '}
                      <SizeLimits of={{ drawing: view.job.drawing, part: view.part }} size={t.size} units={units} own />
                    </span>
                  )}
                </td>
                <td className="fig">
                  {t.measured} of {t.wanted}
                </td>
                <td>{t.mean && <FigureNumber figure={t.mean} units={units} />}</td>
                <td>{t.spread && <FigureNumber figure={t.spread} units={units} />}</td>
                <td>
                  {t.capability ? (
                    <>
                      <FigureNumber figure={t.capability.is} units={units} />
                      <span className="quiet">
                        , at least <FigureNumber figure={t.capability.least} units={units} />
                      </span>
                    </>
                  ) : (
                    <span className="quiet">{t.measured > 0 ? 'of too few' : ''}</span>
                  )}
                </td>
                <td className={t.out > 0 ? 'out' : ''}>{t.out > 0 ? `✗ ${String(t.out)}` : ''}</td>
                <td>
                  {t.run.length > 1 && (
                    <Button
                      size="sm"
                      variant="outline-dark"
                      aria-expanded={shown === t}
                      aria-label={`run of size ${String(t.size.balloon)}`}
                      onClick={() => setChosen(shown === t ? undefined : t.size.id)}>
                      run
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {shown?.size.limits && (
        <Suspense fallback={<p className="quiet">the chart comes</p>}>
          <RunChart
            of={`${String(shown.size.balloon)} ${nameOf(shown.size)}`}
            run={shown.run}
            limits={shown.size.limits}
            mean={shown.mean?.value}
            units={units}
          />
        </Suspense>
      )}
    </section>
  );
}
