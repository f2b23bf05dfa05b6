import { blankRow, type Detail } from '@obra/core/document';
import { type DetailKind, detailWords, type ListName, pathOf } from '@obra/core/drawing';
import { parseBeyond } from '@obra/core/holding';
import { figure } from '@obra/core/quantity';
import { Button, Dropdown, Form } from 'react-bootstrap';
import { newId } from '../../../data/ids';
import { FigureNumber } from '../../../slate';
import type { JobView } from '../view';
import { TextCell } from './Cell';
import { focusSoon } from './cells';
import { asksOf, DetailsTable, placesFor } from './DetailsTable';
import { RowsTable } from './RowsTable';

const lists: readonly (readonly [ListName, string])[] = [
  ['outside', 'add a row as it is'],
  ['boreRight', 'hole in A as it is'],
  ['boreLeft', 'hole in B as it is'],
];

/** Makes the job start from a piece; its first row waits for what it measures. */
export function startFromPiece({ open, units }: JobView): void {
  const id = newId();
  open.edit([
    {
      op: 'put',
      at: 'startsAs',
      value: { outside: [blankRow(id, units)], boreRight: [], boreLeft: [], details: [], beyondRight: { text: '', units } },
    },
  ]);
  focusSoon(`${id}.size`);
}

/** A piece already started, typed as it measures now: it is the stock in place of a bar. */
export function Started({ view }: { readonly view: JobView }) {
  const { job, open, units, started } = view;
  const { startsAs } = job;
  if (!startsAs) return null;
  const add = (list: ListName, after?: string) => {
    const rows = startsAs[list];
    const id = newId();
    const next = after === undefined ? undefined : rows[rows.findIndex((r) => r.id === after) + 1]?.id;
    open.edit([{ op: 'put', at: pathOf(list, id, 'startsAs'), value: blankRow(id, units), ...(next !== undefined && { before: next }) }]);
    focusSoon(`${id}.size`);
  };
  const cut = (kind: DetailKind) => {
    const on = placesFor(asksOf[kind].on, startsAs)[0]?.ref;
    if (on === undefined) return;
    const id = newId();
    const value: Detail = { id, kind, on, at: { text: '', units }, size: { text: '', units } };
    open.edit([{ op: 'put', at: `startsAs/details/#${id}`, value }]);
    focusSoon(`${id}.${asksOf[kind].at === undefined ? 'size' : 'at'}`);
  };
  const { beyondRight } = startsAs;
  return (
    <section className="started mt-3" aria-label="The piece as it is now">
      <div className="d-flex gap-3 align-items-end flex-wrap mb-2">
        <h2 className="m-0 me-auto">The piece as it is now</h2>
        <Form.Group className="d-flex gap-2 align-items-center">
          <span className="quiet">stands beyond finished face A by</span>
          <TextCell
            id="startsAs.beyondRight"
            label="stands beyond finished face A by"
            cell={beyondRight}
            units={units}
            placeholder="0"
            wide={90}
            bad={!parseBeyond(beyondRight).ok}
            onType={(cell) => open.edit([{ op: 'put', at: 'startsAs/beyondRight', value: cell }], 'job', 'startsAs.beyondRight')}
          />
        </Form.Group>
        {started?.findings.length === 0 && (
          <span className="quiet">
            beyond face B{' '}
            <FigureNumber
              figure={figure('length', 'beyondLeft', { whole: started.piece.length, beyond: started.beyondRight, part: view.part.length })}
              units={units}
              withUnit
            />
          </span>
        )}
      </div>
      {lists.map(
        ([list]) => startsAs[list].length > 0 && <RowsTable key={list} view={view} list={list} started onAdd={(after) => add(list, after)} />,
      )}
      <DetailsTable view={view} started />
      <div className="d-flex gap-2 mb-3 flex-wrap">
        {lists.map(([list, words]) => (
          <Button key={list} variant="outline-dark" size="sm" onClick={() => add(list, startsAs[list].at(-1)?.id)}>
            {words}
          </Button>
        ))}
        <Dropdown>
          <Dropdown.Toggle variant="outline-dark" size="sm" disabled={startsAs.outside.length === 0}>
            cut in it as it is
          </Dropdown.Toggle>
          <Dropdown.Menu>
            {(Object.keys(asksOf) as DetailKind[]).map((kind) => (
              <Dropdown.Item as="button" key={kind} disabled={placesFor(asksOf[kind].on, startsAs).length === 0} onClick={() => cut(kind)}>
                {detailWords[kind]}
              </Dropdown.Item>
            ))}
          </Dropdown.Menu>
        </Dropdown>
        <Button variant="outline-dark" size="sm" onClick={() => open.edit([{ op: 'remove', at: 'startsAs' }])}>
          start from bar again
        </Button>
      </div>
    </section>
  );
}
