import type { Drawing } from '@obra/core/document';
import { placeSaid, treatedAt } from '@obra/core/drawing';
import { parseHeat, type Units, writeMinutes, writeSentence } from '@obra/core/quantity';
import { temperColour } from '@obra/core/standards';
import { Button, Form } from 'react-bootstrap';
import { newId } from '../../../data/ids';
import { bothScales } from '../../../fields';
import type { JobView } from '../view';
import { Delete, TextCell } from './Cell';
import { drawnBy } from '../../../words/titles';

const fields: readonly (readonly [key: string, label: string])[] = [
  ['number', 'drawing number'],
  ['drawn', drawnBy],
  ['issue', 'issue'],
  ['edges', 'all edges'],
  ['notes', 'notes'],
];
const kinds: readonly (readonly [Drawing['treatment'][number]['kind'], string, string])[] = [
  ['harden', 'harden', '58 HRC, tip 12'],
  ['temper', 'temper', '260 °C, 1 h'],
  ['plate', 'plate, allowance a side', '0.01 rows 2, 3'],
  ['black', 'cold black', ''],
];

/** What a treatment was understood as: how hot in both scales, how long, where. */
function treatmentSaid({ kind, value }: Drawing['treatment'][number], show: Units): string {
  const at = treatedAt(value);
  const { celsius, asked, minutes } = parseHeat(at.rest, value.units);
  const hot = kind === 'harden' || kind === 'temper';
  const colour = kind === 'temper' && celsius === undefined ? temperColour(at.rest) : undefined;
  const place = placeSaid(at);
  return [
    ...(hot && asked !== undefined ? [`${String(asked)} °C or °F?`] : []),
    ...(hot && celsius !== undefined ? [bothScales(celsius)] : []),
    ...(colour ? [`about ${bothScales(colour.celsius)}`] : []),
    ...(hot && minutes !== undefined ? [writeMinutes(minutes)] : []),
    ...(place ? [writeSentence(place, show)] : []),
  ].join(', ');
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
              wide={150}
              placeholder={kinds.find(([k]) => k === t.kind)?.[2] ?? ''}
              onType={(c) => open.edit([{ op: 'put', at: `drawing/treatment/#${t.id}/value`, value: c }], 'job', `${t.id}.value`)}
            />
            <span className="quiet">{treatmentSaid(t, units)}</span>
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
