import type { Drawing } from '@obra/core/document';
import { fromTemplate, readDrawing, type Template, templates } from '@obra/core/drawing';
import { type Units, writeSentence } from '@obra/core/quantity';
import { useState } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { SmallPart } from '../../../small';
import { inPlaceOfRows } from '../../../words/pressed';

interface Props {
  readonly units: Units;
  /** rows are there already: taking a template replaces them */
  readonly replaces: boolean;
  readonly onTake: (drawing: Drawing, name: string) => void;
  readonly onClose: () => void;
}

/** A part from a few numbers. */
export function TemplateDialog({ units, replaces, onTake, onClose }: Props) {
  const [chosen, setChosen] = useState<Template | undefined>(templates[0]);
  const [answers, setAnswers] = useState<Readonly<Record<string, string>>>({});
  const made = chosen && fromTemplate(chosen, answers, units);
  const part = made?.ok === true ? readDrawing(made.value) : undefined;
  const problem = (id: string) => (made?.ok === false ? made.problems.find((p) => p.at === id) : undefined);
  const take = () => {
    if (made?.ok === true && chosen) onTake(made.value, chosen.name);
  };
  return (
    <Modal show onHide={onClose} animation={false} size="lg" aria-label="A part from a few numbers" className="low">
      <Modal.Body>
        <div className="templates">
          <ul aria-label="templates">
            {templates.map((t) => (
              <li key={t.id}>
                <Button
                  variant="link"
                  aria-pressed={t.id === chosen?.id}
                  onClick={() => {
                    setChosen(t);
                    setAnswers({});
                  }}>
                  {t.name}
                </Button>
              </li>
            ))}
          </ul>
          <Form
            onSubmit={(e) => {
              e.preventDefault();
              take();
            }}>
            <p className="quiet mb-2">{chosen?.says}</p>
            {chosen?.asks.map((q, i) => {
              const bad = problem(q.id);
              return (
                <Form.Group key={`${chosen.id}-${q.id}`} controlId={`ask-${q.id}`} className="mb-2">
                  <Form.Label className="m-0 quiet">{q.asks}</Form.Label>
                  <Form.Control
                    autoFocus={i === 0}
                    value={answers[q.id] ?? ''}
                    placeholder={q[units]}
                    aria-invalid={bad !== undefined}
                    autoComplete="off"
                    maxLength={60}
                    onChange={(e) => setAnswers({ ...answers, [q.id]: e.target.value })}
                  />
                  {bad && <div className="said bad">{writeSentence(bad.says, units)}</div>}
                </Form.Group>
              );
            })}
            <div className="d-flex gap-2 align-items-center mt-3">
              <Button type="submit" disabled={made?.ok !== true}>
                {replaces ? inPlaceOfRows : 'draw it'}
              </Button>
              <Button variant="outline-dark" onClick={onClose}>
                cancel
              </Button>
            </div>
            {replaces && <p className="quiet mt-2 mb-0">The rows that are there go; undo brings them back.</p>}
          </Form>
          <div>{part && <SmallPart part={part} width={230} height={150} />}</div>
        </div>
      </Modal.Body>
    </Modal>
  );
}
