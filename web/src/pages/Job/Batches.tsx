import type { Choice } from '@obra/core/document';
import { type Figure, writeMinutes, writeSentence } from '@obra/core/quantity';
import { ways } from '@obra/core/shop';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { FigureNumber } from '../../slate';
import { useFromPlan } from '../../work/useFromPlan';
import { askBatches } from '../../work/usePlan';
import { wayInHand } from './wayInHand';
import type { JobView } from './view';
import { workingThemOut } from '../../words/found';
import { takeIt } from '../../words/pressed';

const batchWay = ways.find((w) => w.key === 'batch');

/** Several pieces, piece by piece beside operation by operation: hands on, hands free, what changing holdings costs. */
export function Batches({ view }: { readonly view: JobView }) {
  const { job, shop, plan, units, older, open } = view;
  const [wanted, setWanted] = useState(false);
  const { answer, failed } = useFromPlan(wanted && !older, plan, 'batches', () => askBatches(job, shop));
  if (job.pieces < 2 || !batchWay) return null;
  const inHand = wayInHand(batchWay, view);
  const time = (figure: Figure) => <FigureNumber figure={figure} units={units} text={writeMinutes(figure.value)} />;
  const take = (value: string) =>
    open.edit([{ op: 'put', at: 'choices/#way-batch', value: { kind: 'way', id: 'way-batch', way: 'batch', value } satisfies Choice }]);
  return (
    <details className="noprint mb-2" onToggle={(e) => setWanted(e.currentTarget.open)}>
      <summary className="quiet">{job.pieces} pieces: each setup on all of them, or each piece right through</summary>
      {wanted && answer === undefined && <p className="quiet mt-2">{workingThemOut}</p>}
      {failed && <p role="alert">The two ways could not be worked out; the one in hand stands.</p>}
      {answer && answer.length > 0 && (
        <table className="plain mt-2" aria-label="The batch in both orders">
          <thead>
            <tr>
              <th>way</th>
              <th className="num">hands on</th>
              <th className="num">waiting</th>
              <th className="num">changing holdings</th>
              <th className="num">in all</th>
              <th className="num">first piece whole after</th>
              <th>what it buys</th>
              <th>
                <span className="visually-hidden">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {answer.map((b) => {
              const way = batchWay.choices.find((c) => c.value === b.mode);
              return (
                <tr key={b.mode} data-batch={b.mode}>
                  <td>{inHand === b.mode ? <strong>{way?.words}</strong> : way?.words}</td>
                  <td className="num text-nowrap">{time(b.attended)}</td>
                  <td className="num text-nowrap">{time(b.waiting)}</td>
                  <td className="num text-nowrap">
                    {b.changes === 0 ? (
                      'none'
                    ) : (
                      <>
                        {b.changes} ×, {time(b.changing)}
                      </>
                    )}
                  </td>
                  <td className="num text-nowrap">{time(b.elapsed)}</td>
                  <td className="num text-nowrap">{time(b.first)}</td>
                  <td className="quiet">
                    {b.saves && <>{time(b.saves)} less in all; </>}
                    {way && writeSentence(way.because, units)}
                  </td>
                  <td className="text-end">
                    {inHand !== b.mode && (
                      <Button variant="outline-dark" className="text-nowrap" disabled={job.issue !== undefined} onClick={() => take(b.mode)}>
                        {takeIt}
                      </Button>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </details>
  );
}
