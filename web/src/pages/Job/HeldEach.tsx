import type { HeldSo } from '@obra/core/planner';
import { writeMinutes, writeWithUnit } from '@obra/core/quantity';
import type { Chucking } from '@obra/core/settings';
import { lazy, Suspense, useState } from 'react';
import { useFromPlan } from '../../work/useFromPlan';
import { askHeldEach } from '../../work/usePlan';
import { Button } from 'react-bootstrap';
import { FigureNumber } from '../../slate';
import type { JobView } from './view';
import { workingThemOut } from '../../words/found';

const HoldingDots = lazy(() => import('../../slate/HoldingDots').then((m) => ({ default: m.HoldingDots })));

/** Each way of holding with the whole route that follows from it: its minutes against how true it runs. */
export function HeldEach({ view, held }: { readonly view: JobView; readonly held: Chucking }) {
  const { job, shop, plan, units, older, open } = view;
  const [wanted, setWanted] = useState(false);
  const { answer, failed } = useFromPlan(wanted && !older, plan, held.id, () => askHeldEach(job, shop, held.id));
  const name = (way: HeldSo) => [way.name, ...way.support.map((id) => shop.holdings.find((h) => h.id === id)?.name ?? id)].join(' + ');
  /** What is made for it stands in the shop from then on, and is taken. */
  const make = (made: NonNullable<HeldSo['made']>) => {
    open.edit([{ op: 'put', at: `holdings/#${made.id}`, value: made }], 'shop');
    open.edit([
      { op: 'put', at: `choices/#hold-${held.id}`, value: { kind: 'hold', id: `hold-${held.id}`, setup: held.id, holding: made.id, support: [] } },
    ]);
  };
  const can = answer?.filter((w) => w.minutes !== undefined) ?? [];
  return (
    <details className="mt-3" onToggle={(e) => setWanted(e.currentTarget.open)}>
      <summary>What each way makes of the whole: minutes against runout</summary>
      {wanted && answer === undefined && <p className="quiet mt-2">{workingThemOut}</p>}
      {failed && <p role="alert">They could not be worked out; the ways above stand.</p>}
      {answer && !failed && (
        <>
          <Suspense fallback={<p className="quiet mt-2">Drawing.</p>}>
            <HoldingDots
              units={units}
              dots={answer.map((w) => ({ name: name(w), runout: w.runout.value, minutes: w.minutes?.value, taken: w.taken }))}
            />
          </Suspense>
          <table className="plain" aria-label="Each way of holding, worked out whole">
            <thead>
              <tr>
                <th>way</th>
                <th className="num">TIR</th>
                <th className="num">a piece</th>
                <th className="num">beside this one</th>
                <th className="num">setups</th>
                <th>relations</th>
                <th>
                  <span className="visually-hidden">actions</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {can.map((w) => (
                <tr key={name(w)}>
                  <td>{w.taken ? <strong>{name(w)}</strong> : name(w)}</td>
                  <td className="num text-nowrap">
                    <FigureNumber figure={w.runout} units={units} withUnit />
                  </td>
                  <td className="num text-nowrap">
                    {w.minutes && <FigureNumber figure={w.minutes} units={units} text={writeMinutes(w.minutes.value)} />}
                  </td>
                  <td className="num text-nowrap">
                    {w.taken || !w.more ? (
                      ''
                    ) : (
                      <FigureNumber figure={w.more} units={units} text={`${w.more.value < 0 ? '−' : '+'}${writeMinutes(Math.abs(w.more.value))}`} />
                    )}
                  </td>
                  <td className="num">{w.setups}</td>
                  <td className="quiet">
                    {w.runouts
                      .map(
                        (r) => `${r.oneChucking ? 'one chucking' : `up to ${writeWithUnit(r.expected, units)}`} of ${writeWithUnit(r.limit, units)}`,
                      )
                      .join('; ')}
                  </td>
                  <td className="text-end">
                    {w.made && !job.issue && (
                      <Button variant="outline-dark" size="sm" className="text-nowrap" onClick={() => w.made && make(w.made)}>
                        make it and take it
                      </Button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </details>
  );
}
