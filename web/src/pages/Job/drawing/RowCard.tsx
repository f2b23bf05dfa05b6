import type { Cell } from '@obra/core/document';
import { type Characteristic, facesNamed, type ListName, listNames, pathOf, stackOf } from '@obra/core/drawing';
import { placeFor } from '@obra/core/handbook';
import { type Units, writeSentence } from '@obra/core/quantity';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { type CellOfJob, writeCell } from '../../../data/cellOfJob';
import { memoSteady } from '../../../shell/useSteady';
import { type Drawn, SizeLimits } from '../../../sheet';
import { rowSaid } from './rowSaid';
import type { JobView } from '../view';
import { type Place, PlaceSelect } from './Cell';
import { facesToStart } from './cells';

const cares: readonly (readonly [Characteristic['care'], string])[] = [
  ['critical', 'critical'],
  ['ordinary', 'ordinary'],
  ['byEye', 'by eye'],
];

/** The row that the cursor is in: where its length starts, how much care its sizes want, where to look its size up. */
export function RowCard({ view }: { readonly view: JobView }) {
  const { job, part, open, units, chosen } = view;
  const list = listNames.find((l) => job.drawing[l].some((r) => r.id === chosen));
  const rows = list ? job.drawing[list] : [];
  const at = rows.findIndex((r) => r.id === chosen);
  const row = rows[at];
  if (!list || !row) return <p className="rowcard quiet">Type 25 h6 x 40 in a size cell and press Enter; a row’s own settings stand here.</p>;
  const feature = part.features.find((f) => f.id === row.id);
  const { said, bad, long, longBad } = rowSaid({
    row,
    list,
    last: at === rows.length - 1,
    feature,
    check: undefined,
    rule: job.drawing.untoleranced,
    units,
  });
  const face = facesNamed(job.drawing);
  const stack = stackOf(part, face(`${row.id}.near`) ?? '', face(`${row.id}.far`) ?? '');
  return (
    <Card
      job={view.id}
      list={list}
      at={at}
      id={row.id}
      from={row.from}
      size={row.size}
      said={said}
      bad={bad}
      long={long}
      longBad={longBad}
      note={row.note}
      drawn={{ drawing: view.drawn, part }}
      units={units}
      sizes={part.characteristics
        .filter((c) => c.of === row.id && c.is !== 'runout')
        .map((c) => ({ id: c.id, words: wordOf(c), care: c.care, of: c }))}
      starts={facesToStart(job.drawing.outside, row.id)}
      stack={stack && stack.through.length > 1 ? `row ${writeSentence(stack.says, units)}` : undefined}
      edit={open.edit}
    />
  );
}

interface CardProps {
  readonly job: string;
  readonly list: ListName;
  readonly at: number;
  readonly id: string;
  readonly from: string | undefined;
  readonly size: Cell;
  /** what was understood of size and length, in both units */
  readonly said: string;
  readonly bad: boolean;
  readonly long: string;
  readonly longBad: boolean;
  readonly note: string | undefined;
  readonly drawn: Drawn;
  readonly units: Units;
  readonly sizes: readonly { readonly id: string; readonly words: string; readonly care: Characteristic['care']; readonly of: Characteristic }[];
  readonly starts: readonly Place[];
  readonly stack: string | undefined;
  readonly edit: JobView['open']['edit'];
}

const Card = memoSteady(function Card({
  job,
  list,
  at,
  id,
  from,
  size,
  said,
  bad,
  long,
  longBad,
  note,
  drawn,
  units,
  sizes,
  starts,
  stack,
  edit,
}: CardProps) {
  const own: readonly Place[] = [{ ref: '', says: 'its own edge' }, ...starts];
  const path = pathOf(list, id);
  return (
    <div className="rowcard">
      <h2>
        {list === 'outside' ? 'Row' : list === 'boreRight' ? 'Hole A, row' : 'Hole B, row'} {at + 1}
        <Link className="look-up" to={handbookFor(size, { job, list, row: id })}>
          look up
        </Link>
      </h2>
      {said !== '' && (
        <div className={bad ? 'out' : ''} data-said={`${id}.size`}>
          {said}
        </div>
      )}
      {long !== '' && <div className={longBad ? 'out' : ''}>{longBad ? long : `${long} ${list === 'outside' ? 'long' : 'deep'}`}</div>}
      {note !== undefined && <div className="quiet">{note}</div>}
      <label>
        length from{' '}
        <PlaceSelect
          label="length from"
          places={own}
          value={from ?? ''}
          onChoose={(ref) =>
            edit([
              ref === '' ? { op: 'remove', at: `${path}/from` } : { op: 'put', at: `${path}/from`, value: ref },
              { op: 'remove', at: `${path}/to` },
            ])
          }
        />
      </label>
      {sizes.map((c) => (
        <div key={c.id} className="row-size">
          <span>
            {c.words} <SizeLimits of={drawn} size={c.of} units={units} own />
          </span>
          <Form.Select
            aria-label={`care for the ${c.words}`}
            value={c.care}
            onChange={(e) => edit([{ op: 'put', at: `drawing/care/${c.id}`, value: e.target.value }])}>
            {cares.map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </Form.Select>
        </div>
      ))}
      {stack !== undefined && <span className="quiet">{stack}</span>}
    </div>
  );
});

const wordOf = (c: Characteristic): string =>
  c.id.endsWith('.nearDiameter')
    ? 'near end'
    : c.id.endsWith('.farDiameter')
      ? 'far end'
      : c.is === 'thread'
        ? 'thread'
        : c.is === 'length' || c.is === 'finish' || c.is === 'angle'
          ? c.is
          : 'size';

/** The page of the Handbook that a size belongs to, with the way back to its cell. */
function handbookFor(size: Cell, cell: CellOfJob): string {
  const place = placeFor(size.text);
  const back = { for: writeCell(cell) };
  if (!place) return `/handbook?${new URLSearchParams(back).toString()}`;
  const calculator = place.calculator === 'lengths' && cell.list !== 'outside' ? 'drills' : place.calculator;
  return `/handbook/${calculator}?${new URLSearchParams({ d: place.d, ...(size.units === 'in' && { u: 'in' }), ...back }).toString()}`;
}
