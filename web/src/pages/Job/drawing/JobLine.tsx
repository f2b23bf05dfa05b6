import type { Cell, Job } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import type { Units } from '@obra/core/quantity';
import { materials } from '@obra/core/standards';
import { Form } from 'react-bootstrap';
import { memoSteady } from '../../../shell/useSteady';
import type { JobView } from '../view';

interface JobLineProps {
  readonly name: string;
  readonly customer: string;
  readonly wanted: string;
  readonly pieces: number;
  readonly material: string;
  readonly untoleranced: Cell;
  readonly overall: Cell | undefined;
  readonly choices: Job['choices'];
  readonly units: Units;
  readonly edit: JobView['open']['edit'];
}

/** What the job is called, who it is for, of what, how many; the rule for sizes without a tolerance and the overall length. */
export const JobLine = memoSteady(function JobLine({
  name,
  customer,
  wanted,
  pieces,
  material,
  untoleranced,
  overall,
  choices,
  units,
  edit,
}: JobLineProps) {
  return (
    <div className="job-line mb-2">
      <Text label="Name" value={name} onType={(t) => edit([{ op: 'put', at: 'name', value: t }], 'job', 'name')} />
      <Text
        label="Customer"
        value={customer}

        onType={(t) => edit([t === '' ? { op: 'remove', at: 'customer' } : { op: 'put', at: 'customer', value: t }], 'job', 'customer')}
      />
      <Form.Group controlId="wanted">
        <Form.Label className="m-0 quiet">Wanted</Form.Label>
        <Form.Control
          type="date"
          value={wanted}
          min="2000-01-01"
          max="2099-12-31"
          onChange={(e) => {
            // half a date is none yet
            if (e.target.value !== '') edit([{ op: 'put', at: 'wanted', value: e.target.value }], 'job', 'wanted');
            else if (!e.target.validity.badInput) edit([{ op: 'remove', at: 'wanted' }], 'job', 'wanted');
          }}
        />
      </Form.Group>
      <Form.Group controlId="pieces">
        <Form.Label className="m-0 quiet">Pieces</Form.Label>
        <Form.Control
          type="number"
          min={1}
          max={50}
          value={pieces}
          onChange={(e) => {
            const n = Math.round(Number(e.target.value));
            if (n >= 1 && n <= 50) edit([{ op: 'put', at: 'pieces', value: n }], 'job', 'pieces');
          }}
        />
      </Form.Group>
      <Form.Group controlId="material">
        <Form.Label className="m-0 quiet">Material</Form.Label>
        <Form.Select
          value={material}
          onChange={(e) => {
            edit([
              { op: 'put', at: 'drawing/material', value: e.target.value },
              ...choices.filter((c) => c.kind === 'bar').map((c): Edit => ({ op: 'remove', at: `choices/#${c.id}` })),
            ]);
          }}>
          {materials.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Text
        label="Without a tolerance"
        value={untoleranced.text}

        onType={(t) => {
          edit([{ op: 'put', at: 'drawing/untoleranced', value: { ...untoleranced, text: t } }], 'job', 'untoleranced');
        }}
      />
      <Text
        label="Overall"
        value={overall?.text ?? ''}

        onType={(t) =>
          edit(
            [
              t === ''
                ? { op: 'remove', at: 'drawing/overall' }
                : { op: 'put', at: 'drawing/overall', value: { text: t, units: overall?.units ?? units } },
            ],
            'job',
            'overall',
          )
        }
      />
    </div>
  );
});

function Text({ label, value, onType }: { readonly label: string; readonly value: string; readonly onType: (text: string) => void }) {
  return (
    <Form.Group controlId={`of-${label.replace(/\s+/g, '-')}`}>
      <Form.Label className="m-0 quiet text-nowrap">{label}</Form.Label>
      <Form.Control value={value} maxLength={120} onChange={(e) => onType(e.target.value)} />
    </Form.Group>
  );
}
