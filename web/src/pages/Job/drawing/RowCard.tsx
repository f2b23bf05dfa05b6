import { type Cell, type Characteristic, placeFor, stackOf, writeSentence, facesNamed, lists, pathOf } from '@obra/core';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { type CellOfJob, writeCell } from '../../Handbook/cell';
import type { JobView } from '../view';
import { facesToStart } from './cells';

const cares: readonly (readonly [Characteristic['care'], string])[] = [
  ['critical', 'critical'],
  ['ordinary', 'ordinary'],
  ['byEye', 'by eye'],
];

/** The row that the cursor is in: where its length starts, how much care its sizes want, where to look its size up. */
export function RowCard({ view }: { readonly view: JobView }) {
  const { job, part, open, units, chosen } = view;
  const list = lists.find((l) => job.drawing[l].some((r) => r.id === chosen));
  const rows = list ? job.drawing[list] : [];
  const at = rows.findIndex((r) => r.id === chosen);
  const row = rows[at];
  if (!list || !row) return <p className="rowcard quiet">Type 25 h6 x 40 in a size cell and press Enter; a row’s own settings stand here.</p>;
  const sizes = part.characteristics.filter((c) => c.of === row.id);
  const starts = [{ ref: '', says: 'its own edge' }, ...facesToStart(job.drawing.outside, row.id)];
  const face = facesNamed(job.drawing);
  const stack = stackOf(part, face(`${row.id}.near`) ?? '', face(`${row.id}.far`) ?? '');
  return (
    <div className="rowcard">
      <b>
        {list === 'outside' ? 'row' : list === 'boreRight' ? 'hole A, row' : 'hole B, row'} {at + 1}
      </b>
      <label>
        length from{' '}
        <Form.Select
          value={row.from ?? ''}
          onChange={(e) => {
            const path = pathOf(list, row.id);
            open.edit([
              e.target.value === '' ? { op: 'remove', at: `${path}/from` } : { op: 'put', at: `${path}/from`, value: e.target.value },
              { op: 'remove', at: `${path}/to` },
            ]);
          }}>
          {(row.from === undefined || starts.some((s) => s.ref === row.from)
            ? starts
            : [...starts, { ref: row.from, says: 'a face not there now' }]
          ).map((s) => (
            <option key={s.ref} value={s.ref}>
              {s.says}
            </option>
          ))}
        </Form.Select>
      </label>
      {sizes
        .filter((c) => c.is !== 'runout')
        .map((c) => (
          <label key={c.id}>
            {wordOf(c)}{' '}
            <Form.Select
              aria-label={`care for the ${wordOf(c)}`}
              value={c.care}
              onChange={(e) => open.edit([{ op: 'put', at: `drawing/care/${c.id}`, value: e.target.value }])}>
              {cares.map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </Form.Select>
          </label>
        ))}
      {stack && stack.through.length > 1 && <span className="quiet">row {writeSentence(stack.says, units)}</span>}
      <Link className="look-up" to={handbookFor(row.size, { job: view.id, list, row: row.id })}>
        look up
      </Link>
    </div>
  );
}

const wordOf = (c: Characteristic): string =>
  c.id.endsWith('.nearDiameter')
    ? 'near end'
    : c.id.endsWith('.farDiameter')
      ? 'far end'
      : c.is === 'thread'
        ? 'thread'
        : c.is === 'length'
          ? 'length'
          : 'size';

/** The page of the Handbook that a size belongs to, with the way back to its cell. */
function handbookFor(size: Cell, cell: CellOfJob): string {
  const place = placeFor(size.text);
  const back = { for: writeCell(cell) };
  if (!place) return `/handbook?${new URLSearchParams(back).toString()}`;
  const calculator = place.calculator === 'lengths' && cell.list !== 'outside' ? 'drills' : place.calculator;
  return `/handbook/${calculator}?${new URLSearchParams({ d: place.d, ...(size.units === 'in' && { u: 'in' }), ...back }).toString()}`;
}
