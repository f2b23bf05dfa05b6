import type { Choice } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { type SubmitEvent, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { newId } from '../../data/ids';
import { minutesTyped } from './OwnSteps';
import type { JobView } from './view';
import { leaveIt, suchOwnStep } from '../../words/pressed';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly onClose: () => void;
}

/** A step of one's own put in after the one in hand: on the sheet that was given out, and in the job, for every piece from here on. */
export function OwnHere({ view, step, onClose }: Props) {
  const { open, job } = view;
  const [says, setSays] = useState('');
  const [minutes, setMinutes] = useState('1');
  const takes = minutesTyped(minutes);
  const keep = (e: SubmitEvent) => {
    e.preventDefault();
    if (says.trim() === '' || takes === undefined || !job.issue) return;
    const value: Extract<Choice, { kind: 'ownStep' }> = {
      kind: 'ownStep',
      id: newId(),
      after: step.id,
      says: says.trim().slice(0, 400),
      minutes: takes,
    };
    open.edit([
      { op: 'put', at: `choices/#${value.id}`, value },
      { op: 'put', at: `issue/choices/#${value.id}`, value },
    ]);
    onClose();
  };
  return (
    <Form className="note-here" aria-label="Own step" onSubmit={keep} onKeyDown={(e) => e.key === 'Escape' && onClose()}>
      <Form.Control
        autoFocus
        aria-label="own step after this one"
        placeholder={suchOwnStep}
        value={says}
        maxLength={400}
        onChange={(e) => setSays(e.target.value)}
      />
      <div className="d-flex gap-2 mt-2 align-items-center flex-wrap">
        <span className="quiet">minutes</span>
        <Form.Control
          className="wide-72"
          aria-label="minutes of the own step"
          inputMode="decimal"
          value={minutes}
          isInvalid={takes === undefined}
          onChange={(e) => setMinutes(e.target.value)}
        />
        <Button type="submit" variant="light" className="tall-48" disabled={says.trim() === '' || takes === undefined}>
          put it after this step
        </Button>
        <Button variant="outline-light" className="tall-48" onClick={onClose}>
          {leaveIt}
        </Button>
      </div>
    </Form>
  );
}
