import type { Job } from '@obra/core/document';
import { Plus } from 'lucide-react';
import { Button, Form } from 'react-bootstrap';
import { newId } from '../../../data/ids';
import { today } from '../../../shell/dates';
import type { JobView } from '../view';
import { Delete } from './Cell';

type Order = NonNullable<Job['order']>;

const fields: readonly (readonly [key: 'reference' | 'channel' | 'price', label: string, hint: string, most: number])[] = [
  ['reference', 'Reference', 'order number, boat', 120],
  ['channel', 'Came by', 'in person, telephone, letter', 60],
  ['price', 'Price agreed', '', 60],
];
const channels = ['in person', 'telephone', 'letter', 'mail', 'message', 'through the yard'];

/** How the order came, what was agreed, and what came with it: each part on the day it was received, and given back. */
export function OrderCard({ view }: { readonly view: JobView }) {
  const { job, open } = view;
  const order: Order = job.order ?? { parts: [] };
  const edit = (at: string, value: unknown, typing?: string) =>
    open.edit(
      [
        ...(job.order ? [] : [{ op: 'put' as const, at: 'order', value: order }]),
        value === '' ? { op: 'remove', at: `order/${at}` } : { op: 'put', at: `order/${at}`, value },
      ],
      'job',
      typing,
    );
  const set = (key: 'reference' | 'channel' | 'price', text: string) => edit(key, text, `order.${key}`);
  const change = (id: string, key: 'what' | 'received' | 'back', text: string) => {
    if (key === 'what') open.edit([{ op: 'put', at: `order/parts/#${id}/what`, value: text }], 'job', `order.${id}.what`);
    else edit(`parts/#${id}/${key}`, text);
  };
  return (
    <section className="mb-3" aria-label="The order">
      <div className="d-flex gap-3 flex-wrap">
        {fields.map(([key, label, hint, most]) => (
          <Form.Group key={key} controlId={`order-${key}`} style={{ width: key === 'price' ? 140 : 230 }}>
            <Form.Label className="m-0 quiet">{label}</Form.Label>
            <Form.Control
              value={order[key] ?? ''}
              placeholder={hint}
              maxLength={most}
              autoComplete="off"
              {...(key === 'channel' && { list: 'order-channels' })}
              onChange={(e) => set(key, e.target.value)}
            />
          </Form.Group>
        ))}
        <datalist id="order-channels">
          {channels.map((c) => (
            <option key={c} value={c} />
          ))}
        </datalist>
      </div>
      {order.parts.length > 0 && (
        <table className="rows mt-2" style={{ width: 'min(100%, 800px)' }} aria-label="What came with the order">
          <colgroup>
            {[400, 170, 171, 60].map((w) => (
              <col key={w} style={{ width: w }} />
            ))}
          </colgroup>
          <thead>
            <tr>
              <th>an original, or a part that goes on again</th>
              <th>received</th>
              <th>given back</th>
              <th>
                <span className="visually-hidden">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {order.parts.map((part, i) => {
              const name = part.what === '' ? `part ${String(i + 1)}` : part.what;
              return (
                <tr key={part.id}>
                  <td>
                    <Form.Control
                      id={`order-${part.id}`}
                      aria-label={`what came, part ${String(i + 1)}`}
                      value={part.what}
                      placeholder="worn pin, two washers"
                      maxLength={200}
                      autoComplete="off"
                      onChange={(e) => change(part.id, 'what', e.target.value)}
                    />
                  </td>
                  {(['received', 'back'] as const).map((key) => (
                    <td key={key}>
                      <Form.Control
                        type="date"
                        aria-label={`${name}: ${key === 'back' ? 'given back' : 'received'}`}
                        value={part[key] ?? ''}
                        min="2000-01-01"
                        max="2099-12-31"
                        onChange={(e) => {
                          // half a date is none yet
                          if (e.target.value !== '' || !e.target.validity.badInput) change(part.id, key, e.target.value);
                        }}
                      />
                    </td>
                  ))}
                  <td>
                    <Delete name={name} onDelete={() => edit(`parts/#${part.id}`, '')} />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <Button
        variant="outline-dark"
        size="sm"
        className="mt-2"
        onClick={() => {
          const id = newId();
          edit(`parts/#${id}`, { id, what: '', received: today() });
          requestAnimationFrame(() => document.getElementById(`order-${id}`)?.focus());
        }}>
        <Plus size={15} aria-hidden /> what came with it
      </Button>
    </section>
  );
}
