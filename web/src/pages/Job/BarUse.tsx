import type { Bar } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import type { Route } from '@obra/core/planner';
import { writeExact } from '@obra/core/quantity';
import { thingOf } from '@obra/core/ref';
import { mmOf } from '@obra/core/shop';
import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { FigureNumber, Stands } from '../../slate';
import type { JobView } from './view';
import { faceB } from '../../words/places';
import { howTrue } from '../../words/titles';

/** Which bars of the rack the pieces come out of, and what goes back there. */
export function BarUse({ view, route }: { readonly view: JobView; readonly route: Route }) {
  const { shop, units, open, job } = view;
  const { from } = route.bar;
  if (from.length === 0) return null;
  const bars = from.flatMap((c) => {
    const bar = shop.bars.find((b) => b.id === c.id);
    return bar ? [{ ...c, bar }] : [];
  });
  const back = (bar: Bar, left: number): Edit =>
    left > 0
      ? { op: 'put', at: `bars/#${bar.id}/length`, value: { text: writeExact(left, bar.length.units), units: bar.length.units } }
      : { op: 'remove', at: `bars/#${bar.id}` };
  return (
    <section className="mt-3" aria-label="Bars">
      <h2>Out of the rack</h2>
      <table className="plain">
        <tbody>
          {bars.map(({ bar, pieces, left, goesBack }) => (
            <tr key={bar.id}>
              <td>
                <strong>{bar.name}</strong>{' '}
                <span className="quiet">
                  <Stands of={{ is: 'length', value: mmOf(bar.length), step: 1 }} from={`the rack: ${bar.name}, its length`} units={units} /> on the
                  rack
                </span>
              </td>
              <td>
                {pieces} {pieces === 1 ? 'piece' : `of ${job.pieces} pieces`}
              </td>
              <td>
                <FigureNumber figure={left} units={units} withUnit /> {goesBack ? 'goes back on the rack' : 'is left, too short to hold'}
              </td>
              <td className="text-end">
                <Button size="sm" variant="outline-dark" onClick={() => open.edit([back(bar, goesBack ? left.value : 0)], 'shop')}>
                  {goesBack ? 'cut: put the rest back' : 'cut: take it off the rack'}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

interface RunoutsProps {
  readonly view: JobView;
  readonly made: Route['runouts'];
  readonly head?: string;
  /** why each comes out so; as the holdings are, where nothing else is said */
  readonly why?: ReactNode;
}

/** How true the relations of the drawing come out in these holdings. */
export function Runouts({ view, made, head = howTrue, why }: RunoutsProps) {
  const { units, job, part } = view;
  if (made.length === 0) return null;
  const rows = [...job.drawing.outside, ...job.drawing.boreRight, ...job.drawing.boreLeft];
  const nameOf = (ref: string) => {
    const id = thingOf(ref);
    if (id === 'right' || id === 'left') return id === 'right' ? 'face A' : faceB;
    const row = rows.find((r) => r.id === id);
    const end = part.features.find((f) => f.id === id)?.side;
    return row ? `${row.size.text}${end === 'right' || end === 'left' ? ' (hole)' : ''}` : ref;
  };
  return (
    <section className="mt-3" aria-label="Runout">
      <h2>{head}</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>relation</th>
            <th>allowed, TIR</th>
            <th>19 of 20 within</th>
            <th>within the limit</th>
            <th>why</th>
          </tr>
        </thead>
        <tbody>
          {made.map((r) => {
            const relation = job.drawing.relations.find((d) => d.id === r.relation);
            return (
              <tr key={r.relation}>
                <td>
                  {nameOf(relation?.of ?? '')} {relation?.kind === 'square' || relation?.kind === 'parallel' ? relation.kind : ''} to{' '}
                  {nameOf(relation?.to ?? '')}
                </td>
                <td>
                  <FigureNumber figure={r.limit} units={units} withUnit />
                </td>
                <td>
                  <FigureNumber figure={r.expected} units={units} withUnit />
                </td>
                <td>
                  <FigureNumber figure={r.chance} units={units} text={`${Math.floor(100 * r.chance.value + 1e-9)} of 100`} />
                </td>
                <td className="quiet">
                  {r.oneChucking ? 'turned in one chucking' : (why ?? 'turned round between the two: the holding’s own runout')}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
