import type { Cell, Drawing } from '@obra/core/document';
import { parseHeat, writeMinutes } from '@obra/core/quantity';
import { Button, Form } from 'react-bootstrap';
import { newId } from '../../../data/ids';
import { bothScales } from '../../../fields';
import type { JobView } from '../view';
import { Delete, TextCell } from './Cell';

const fields: readonly (readonly [key: string, label: string])[] = [
  ['number', 'drawing number'],
  ['drawn', 'drawn by'],
  ['issue', 'issue'],
  ['edges', 'all edges'],
  ['notes', 'notes'],
];
const kinds: readonly (readonly [Drawing['treatment'][number]['kind'], string, string])[] = [
  ['harden', 'harden', '58 HRC'],
  ['temper', 'temper', '260 °C, 1 h'],
  ['plate', 'plate, allowance a side', '0.01'],
  ['black', 'cold black', ''],
];

/** What a heat treatment was understood as, in both scales. */
function heatSaid({ text, units }: Cell): string {
  const { celsius, asked, minutes } = parseHeat(text, units);
  if (asked !== undefined) return `${String(asked)} °C or °F?`;
  return [...(celsius === undefined ? [] : [bothScales(celsius)]), ...(minutes === undefined ? [] : [writeMinutes(minutes)])].join(', ');
}

/** Title block, notes, heat treatment and plating. */
export function TitleBlock({ view }: { readonly view: JobView }) {
  const { job, open, units } = view;
  const { title, treatment } = job.drawing;
  const put = (key: string, text: string) =>
    open.edit(
      [text === '' ? { op: 'remove', at: `drawing/title/${key}` } : { op: 'put', at: `drawing/title/${key}`, value: text }],
      'job',
      `title.${key}`,
    );
  return (
    <section className="mb-3" aria-label="Title and treatment">
      <div className="d-flex gap-3 flex-wrap">
        {fields.map(([key, label]) => (
          <Form.Group key={key} controlId={`title-${key}`} style={{ width: key === 'notes' || key === 'edges' ? 250 : 140 }}>
            <Form.Label className="m-0 quiet">{label}</Form.Label>
            <Form.Control value={title[key] ?? ''} maxLength={400} onChange={(e) => put(key, e.target.value)} />
          </Form.Group>
        ))}
      </div>
      <div className="d-flex gap-2 flex-wrap align-items-end mt-2">
        {treatment.map((t) => (
          <div key={t.id} className="d-flex gap-1 align-items-center">
            <Form.Select
              className="wide-180"
              aria-label="treatment"
              value={t.kind}
              onChange={(e) => open.edit([{ op: 'put', at: `drawing/treatment/#${t.id}/kind`, value: e.target.value }])}>
              {kinds.map(([kind, words]) => (
                <option key={kind} value={kind}>
                  {words}
                </option>
              ))}
            </Form.Select>
            <TextCell
              id={`${t.id}.value`}
              label={`value, ${t.kind}`}
              cell={t.value}
              units={units}
              wide={120}
              placeholder={kinds.find(([k]) => k === t.kind)?.[2] ?? ''}
              onType={(c) => open.edit([{ op: 'put', at: `drawing/treatment/#${t.id}/value`, value: c }], 'job', `${t.id}.value`)}
            />
            {(t.kind === 'harden' || t.kind === 'temper') && <span className="quiet">{heatSaid(t.value)}</span>}
            <Delete name={t.kind} onDelete={() => open.edit([{ op: 'remove', at: `drawing/treatment/#${t.id}` }])} />
          </div>
        ))}
        <Button
          variant="outline-dark"
          onClick={() => {
            const id = newId();
            open.edit([{ op: 'put', at: `drawing/treatment/#${id}`, value: { id, kind: 'harden', value: { text: '', units } } }]);
          }}>
          add a treatment
        </Button>
      </div>
    </section>
  );
}
