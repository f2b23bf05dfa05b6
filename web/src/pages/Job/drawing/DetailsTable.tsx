import type { Cell, Detail, Drawing, Section } from '@obra/core/document';
import { type DetailKind, detailWords, type ListName } from '@obra/core/drawing';
import { gravestFirst, subjectsOf } from '@obra/core/finding';
import { writeSentence } from '@obra/core/quantity';
import { Form } from 'react-bootstrap';
import { Mark, Said } from '../../../slate';
import type { JobView } from '../view';
import { Delete, type Place, PlaceSelect, TextCell } from './Cell';
import { facesToStart } from './cells';
import { endA, endB } from '../../../words/places';
import { cutInIt } from '../../../words/pressed';

/** What each kind asks for, and an example of it. */
interface Asks {
  readonly on: 'row' | 'outside' | 'hole' | 'end';
  readonly at?: string;
  readonly size: string;
  readonly length?: string;
  readonly angle?: string;
  readonly count?: true;
}

/* prettier-ignore */
export const asksOf: Readonly<Record<DetailKind, Asks>> = {
  groove: { on: 'row', at: 'from its edge', size: '16, depth 2, round 3, O-ring 2.62', length: 'width', angle: 'between walls' },
  ringGroove: { on: 'row', at: 'from its edge', size: 'by size, or a ring’s size' },
  faceGroove: { on: 'end', at: 'depth', size: 'outer diameter', length: 'width on radius' },
  knurl: { on: 'outside', at: 'from its edge', size: 'diamond 1, straight 0.8', length: 'whole row' },
  centre: { on: 'end', size: 'A 2.5, B 4' },
  countersink: { on: 'hole', size: 'diameter at the face', angle: '90' },
  mark: { on: 'row', at: 'from its edge', size: 'words' },
  crossHole: { on: 'outside', at: 'from its edge', size: '5, M5, 6 H7 reamed', angle: 'degrees', count: true },
  flat: { on: 'outside', at: 'from its edge', size: 'across', length: 'whole row', angle: 'degrees', count: true },
  hexagon: { on: 'outside', at: 'from its edge', size: 'across flats', length: 'whole row' },
  keyway: { on: 'row', at: 'from its edge', size: 'by size, or 6 x 3.5', length: 'length' },
  slot: { on: 'end', size: '2 x 3: width x depth', angle: 'degrees' },
  boltCircle: { on: 'end', at: 'circle', size: '6, M6 x 12, 6.6 cbore 11 x 6', angle: 'first at', count: true },
};

/** What is cut in rows and ends: on the lathe, and noted for beside it. */
export function DetailsTable({ view, started = false }: { readonly view: JobView; /** of the piece as it is now */ readonly started?: boolean }) {
  const { job, open, units, findings } = view;
  const root = started ? 'startsAs' : 'drawing';
  const of = started ? job.startsAs : job.drawing;
  const read = started ? view.started?.piece : view.part;
  if (!of || of.details.length === 0) return null;
  const { details, outside } = of;
  const path = (detail: Detail) => `${root}/details/#${detail.id}`;
  const put = (detail: Detail, key: 'at' | 'size' | 'length' | 'angle', cell: Cell) =>
    open.edit(
      [
        cell.text === '' && (key === 'length' || key === 'angle')
          ? { op: 'remove', at: `${path(detail)}/${key}` }
          : { op: 'put', at: `${path(detail)}/${key}`, value: cell },
      ],
      'job',
      `${detail.id}.${key}`,
    );
  return (
    <table className="rows mb-2" aria-label={started ? 'Cut in it as it is' : 'Cut in it'}>
      <thead>
        <tr>
          <th className="wide-30">
            <span className="visually-hidden">check</span>
          </th>
          <th style={{ width: '17%' }}>{cutInIt}</th>
          <th style={{ width: '15%' }}>where</th>
          <th>at</th>
          <th style={{ width: '22%' }}>size</th>
          <th>length, width</th>
          <th>angle</th>
          <th style={{ width: '7%' }}>number</th>
          <th className="wide-34">
            <span className="visually-hidden">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {details.map((detail, i) => {
          const asks = asksOf[detail.kind];
          const known = read?.details.find((d) => d.id === detail.id);
          const [gravest] = gravestFirst(findings.filter((f) => subjectsOf(f).includes(detail.id)));
          const name = `${detailWords[detail.kind]} ${String(i + 1)}${started ? ', as it is' : ''}`;
          const cell = (key: 'at' | 'size' | 'length' | 'angle', words: string | undefined) =>
            words === undefined ? null : (
              <TextCell
                id={`${detail.id}.${key}`}
                label={`${key === 'length' ? 'length or width' : key}, ${name}`}
                cell={detail[key]}
                units={units}
                placeholder={words}
                onType={(c) => put(detail, key, c)}
              />
            );
          return (
            <tr key={detail.id}>
              <td className="grab">
                {gravest && (
                  <span title={writeSentence(gravest.says, units)} data-row-check={gravest.code}>
                    <Mark severity={gravest.severity} />
                  </span>
                )}
              </td>
              <td className="kind">
                {detailWords[detail.kind]}
                <div className="said">{known && known.source !== 'drawing' ? known.source : ''}</div>
              </td>
              <td>
                <PlaceSelect
                  label={`where, ${name}`}
                  places={placesFor(asks.on, of)}
                  value={detail.on}
                  onChoose={(ref) => open.edit([{ op: 'put', at: `${path(detail)}/on`, value: ref }])}
                />
              </td>
              <td>
                {cell('at', asks.at)}
                {asks.at === 'from its edge' && (
                  <select
                    className="assumed"
                    aria-label={`counted from, ${name}`}
                    value={detail.from ?? ''}
                    onChange={(e) =>
                      open.edit([
                        e.target.value === ''
                          ? { op: 'remove', at: `${path(detail)}/from` }
                          : { op: 'put', at: `${path(detail)}/from`, value: e.target.value },
                      ])
                    }>
                    <option value="">from its edge</option>
                    {facesToStart(outside, '').map((f) => (
                      <option key={f.ref} value={f.ref}>
                        from {f.says}
                      </option>
                    ))}
                  </select>
                )}
              </td>
              <td>
                {cell('size', asks.size)}
                <div className={`said ${gravest?.severity === 'stop' ? 'bad' : ''}`} data-said={detail.id}>
                  {gravest?.severity === 'stop' ? (
                    writeSentence(gravest.says, units)
                  ) : known ? (
                    <Said sentence={known.says} units={units} from={`the drawing: ${detailWords[detail.kind]}, as it was read`} />
                  ) : (
                    ''
                  )}
                </div>
              </td>
              <td>{cell('length', asks.length)}</td>
              <td>{cell('angle', asks.angle)}</td>
              <td>
                {asks.count === true && (
                  <Form.Control
                    type="number"
                    min={1}
                    max={60}
                    aria-label={`number, ${name}`}
                    value={detail.count ?? 1}
                    onChange={(e) => {
                      const n = Math.round(Number(e.target.value));
                      if (n >= 1 && n <= 60) open.edit([{ op: 'put', at: `${path(detail)}/count`, value: n }], 'job', `${detail.id}.count`);
                    }}
                  />
                )}
              </td>
              <td className="acts">
                <Delete name={name} onDelete={() => open.edit([{ op: 'remove', at: path(detail) }])} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Rows and ends that a kind can be cut in. */
export function placesFor(on: Asks['on'], { outside, boreRight, boreLeft }: Pick<Drawing, ListName>): readonly Place[] {
  const rows = (list: readonly Section[], words: string) =>
    list.map((r, i) => ({ ref: r.id, says: `${words} ${String(i + 1)}: ${r.size.text || '…'}` }));
  const holes = [...rows(boreRight, 'hole A, row'), ...rows(boreLeft, 'hole B, row')];
  if (on === 'hole') return holes;
  if (on !== 'end') return [...rows(outside, 'row'), ...(on === 'row' ? holes : [])];
  return [
    { ref: 'right', says: endA },
    { ref: 'left', says: endB },
  ];
}
