import type { Drawing, Relation } from '@obra/core/document';
import { Form } from 'react-bootstrap';
import { newId } from '../../../data/ids';
import type { JobView } from '../view';
import { Delete, type Place, PlaceSelect, TextCell } from './Cell';
import { focusSoon } from './cells';
import { placesFor } from './DetailsTable';
import { centreLine, concentricTo, faceA, faceB, parallelTo, squareTo } from '../../../words/places';

const kinds: readonly (readonly [Relation['kind'], string])[] = [
  ['concentric', concentricTo],
  ['runout', 'total runout to'],
  ['square', squareTo],
  ['parallel', parallelTo],
];

/** How rows and ends run to one another, with what an indicator may read from high to low. */
export function Relations({ view }: { readonly view: JobView }) {
  const { job, open, units } = view;
  const { relations } = job.drawing;
  if (relations.length === 0) return null;
  const places = everywhere(job.drawing);
  return (
    <table className="rows mb-2" aria-label="Relations">
      <thead>
        <tr>
          <th style={{ width: '26%' }}>what</th>
          <th style={{ width: '22%' }}>runs</th>
          <th style={{ width: '26%' }}>to</th>
          <th>within</th>
          <th className="wide-34">
            <span className="visually-hidden">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {relations.map((r, i) => {
          const name = `relation ${String(i + 1)}`;
          const choose = (key: 'of' | 'to', label: string) => (
            <PlaceSelect
              label={`${label}, ${name}`}
              places={places}
              value={r[key]}
              onChoose={(ref) => open.edit([{ op: 'put', at: `drawing/relations/#${r.id}/${key}`, value: ref }])}
            />
          );
          return (
            <tr key={r.id}>
              <td>{choose('of', 'what')}</td>
              <td>
                <Form.Select
                  aria-label={`kind, ${name}`}
                  value={r.kind}
                  onChange={(e) => open.edit([{ op: 'put', at: `drawing/relations/#${r.id}/kind`, value: e.target.value }])}>
                  {kinds.map(([kind, words]) => (
                    <option key={kind} value={kind}>
                      {words}
                    </option>
                  ))}
                </Form.Select>
              </td>
              <td>{choose('to', 'to what')}</td>
              <td>
                <TextCell
                  id={`${r.id}.value`}
                  label={`within, ${name}`}
                  cell={r.value}
                  units={units}
                  placeholder="0.02"
                  onType={(c) => open.edit([{ op: 'put', at: `drawing/relations/#${r.id}/value`, value: c }], 'job', `${r.id}.value`)}
                />
              </td>
              <td className="acts">
                <Delete name={name} onDelete={() => open.edit([{ op: 'remove', at: `drawing/relations/#${r.id}` }])} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

const everywhere = (drawing: Drawing): readonly Place[] => [
  ...placesFor('row', drawing),
  { ref: 'right', says: faceA },
  { ref: 'left', says: faceB },
  { ref: 'axis', says: centreLine },
];

/** A new relation of a row to the centre line. */
export function addRelation({ open, units }: JobView, row: string): void {
  const id = newId();
  open.edit([
    { op: 'put', at: `drawing/relations/#${id}`, value: { id, kind: 'runout', of: row, to: 'axis', value: { text: '', units } } satisfies Relation },
  ]);
  focusSoon(`${id}.value`);
}
