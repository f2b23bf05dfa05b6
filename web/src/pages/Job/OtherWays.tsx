import { type Alternative, type Edit, writeMinutes, writeSentence } from '@obra/core';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { FigureNumber, Mark } from '../../slate';
import { useAlternatives } from '../../work/useAlternatives';
import type { JobView } from './view';

/** The way in hand and whole other ways beside it: minutes, setups, what each gains and costs; any of them taken whole. */
export function OtherWays({ view }: { readonly view: JobView }) {
  const { job, shop, plan, units, open, older } = view;
  const [wanted, setWanted] = useState(false);
  const { ways, failed } = useAlternatives(wanted && !older, job, shop, plan);
  const route = plan?.routes[0];
  if (!route || job.issue) return null;
  const take = (way: Alternative) => {
    open.edit(way.choices.map((value): Edit => ({ op: 'put', at: `choices/#${value.id}`, value })));
  };
  return (
    <details className="noprint mb-2" onToggle={(e) => setWanted(e.currentTarget.open)}>
      <summary className="quiet">other ways to make it, side by side</summary>
      {ways === undefined && <p className="quiet mt-2">Working them out.</p>}
      {failed && <p role="alert">The other ways could not be worked out; the one below stands.</p>}
      {ways && (
        <table className="plain mt-2" aria-label="Ways to make it">
          <thead>
            <tr>
              <th>way</th>
              <th className="num">a piece</th>
              <th className="num">tool changes</th>
              <th>beside the one in hand</th>
              <th>
                <span className="visually-hidden">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td>
                <strong>the one in hand</strong>
              </td>
              <td className="num text-nowrap">
                <FigureNumber figure={route.cost.minutes} units={units} text={writeMinutes(route.cost.minutes.value)} />
              </td>
              <td className="num text-nowrap">
                <FigureNumber figure={route.cost.changes} units={units} />
              </td>
              <td className="quiet">each is proved against jaws, centre and hole like the one in hand</td>
              <td />
            </tr>
            {ways.map((way) => (
              <tr key={writeSentence(way.differs, units)} data-way={writeSentence(way.differs, units)}>
                <td>{writeSentence(way.differs, units)}</td>
                <td className="num text-nowrap">
                  <FigureNumber figure={way.route.cost.minutes} units={units} text={writeMinutes(way.route.cost.minutes.value)} />
                </td>
                <td className="num text-nowrap">
                  <FigureNumber figure={way.route.cost.changes} units={units} />
                </td>
                <td>
                  <div className="quiet">
                    {way.more.value > 0 ? 'costs ' : way.more.value < 0 ? 'saves ' : 'costs the same'}
                    {way.more.value !== 0 && (
                      <FigureNumber figure={way.more} units={units} text={`${Math.abs(way.more.value).toFixed(1)} minutes, risk counted`} />
                    )}
                  </div>
                  {way.costs.map((says, i) => (
                    <div key={i} className="d-flex gap-2">
                      <Mark severity="caution" />
                      <span>{writeSentence(says, units)}</span>
                    </div>
                  ))}
                  {way.gains.map((says, i) => (
                    <div key={i} className="quiet">
                      clears: {writeSentence(says, units)}
                    </div>
                  ))}
                </td>
                <td className="text-end">
                  <Button variant="outline-dark" className="text-nowrap" onClick={() => take(way)}>
                    take it
                  </Button>
                </td>
              </tr>
            ))}
            {ways.length === 0 && (
              <tr>
                <td colSpan={5} className="quiet">
                  With this shop there is no other way that differs in holding, support, severing or threads.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      )}
    </details>
  );
}
