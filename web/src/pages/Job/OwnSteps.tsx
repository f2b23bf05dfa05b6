import type { Choice } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import type { Step } from '@obra/core/operations';
import { thingOf } from '@obra/core/ref';
import { Plus, Trash2 } from 'lucide-react';
import { type SubmitEvent, useId, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { newId } from '../../data/ids';
import type { JobView } from './view';
import { leaveIt, putItIn, suchOwnStep } from '../../words/pressed';

type OwnStep = Extract<Choice, { kind: 'ownStep' }>;

/** Minutes as they are typed; undefined for what is none. */
export const minutesTyped = (text: string): number | undefined => {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) && value >= 0 && value <= 10_000 ? value : undefined;
};

/** A line of a person's own, put between any two of the sheet. */
export function AddOwnStep({ view }: { readonly view: JobView }) {
  const { step, steps, open, job } = view;
  const [typing, setTyping] = useState(false);
  const [says, setSays] = useState('');
  const [minutes, setMinutes] = useState('1');
  const id = useId();
  if (job.issue || steps.length === 0) return null;
  const number = step ? steps.indexOf(step) + 1 : 0;
  const took = minutesTyped(minutes);
  const add = (e: SubmitEvent) => {
    e.preventDefault();
    if (says.trim() === '' || took === undefined) return;
    const value: OwnStep = { kind: 'ownStep', id: newId(), after: step?.id ?? null, says: says.trim().slice(0, 400), minutes: took };
    open.edit([{ op: 'put', at: `choices/#${value.id}`, value }]);
    setTyping(false);
    setSays('');
  };
  if (!typing)
    return (
      <Button variant="link" className="noprint ps-0" onClick={() => setTyping(true)}>
        <Plus size={15} aria-hidden /> own step{number > 0 ? ` after ${String(number)}` : ''}
      </Button>
    );
  return (
    <Form className="noprint d-flex gap-2 align-items-center my-2" onSubmit={add} onKeyDown={(e) => e.key === 'Escape' && setTyping(false)}>
      <Form.Control
        autoFocus
        aria-label={`own step after ${String(number)}`}
        placeholder={suchOwnStep}
        value={says}
        maxLength={400}
        onChange={(e) => setSays(e.target.value)}
      />
      <label htmlFor={id} className="quiet">
        minutes
      </label>
      <Form.Control
        id={id}
        className="wide-72"
        inputMode="decimal"
        value={minutes}
        isInvalid={took === undefined}
        onChange={(e) => setMinutes(e.target.value)}
      />
      <Button type="submit" className="text-nowrap" disabled={says.trim() === '' || took === undefined}>
        {putItIn}
      </Button>
      <Button variant="link" className="text-nowrap" onClick={() => setTyping(false)}>
        {leaveIt}
      </Button>
    </Form>
  );
}

/** An own step in the slate: its words, its minutes, and out again. */
export function OwnStepCells({ view, step }: { readonly view: JobView; readonly step: Step }) {
  const { job, open } = view;
  const own = job.choices.find((c): c is OwnStep => c.kind === 'ownStep' && c.id === thingOf(step.does[0] ?? ''));
  const [minutes, setMinutes] = useState<string>();
  if (!own || job.issue) return null;
  const edit = (more: Partial<OwnStep>): Edit => ({ op: 'put', at: `choices/#${own.id}`, value: { ...own, ...more } });
  const shown = minutes ?? String(own.minutes);
  return (
    <div className="d-flex gap-2 flex-wrap align-items-center">
      <Form.Control
        as="textarea"
        rows={2}
        aria-label="words of this own step"
        value={own.says}
        maxLength={400}
        onChange={(e) => open.edit([edit({ says: e.target.value })], 'job', `${own.id}.says`)}
      />
      <Form.Control
        className="wide-72"
        aria-label="minutes of this own step"
        inputMode="decimal"
        value={shown}
        isInvalid={minutesTyped(shown) === undefined}
        onChange={(e) => {
          setMinutes(e.target.value);
          const took = minutesTyped(e.target.value);
          if (took !== undefined) open.edit([edit({ minutes: took })], 'job', `${own.id}.minutes`);
        }}
        onBlur={() => setMinutes(undefined)}
      />
      <span className="quiet">min</span>
      <Button size="sm" variant="link" onClick={() => open.edit([{ op: 'remove', at: `choices/#${own.id}` }])}>
        <Trash2 size={15} aria-hidden /> take it out
      </Button>
    </div>
  );
}
