import type { Field, NotAnswered } from '@obra/core/handbook';
import { type Units, writeExact, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { Button, Form } from 'react-bootstrap';

interface AskedProps {
  readonly name: string;
  readonly field: Field;
  readonly text: string;
  readonly typedIn: Units;
  readonly units: Units;
  readonly fault: NotAnswered | undefined;
  readonly onType: (text: string) => void;
}

/** One thing that is typed, with what it was understood as or what is wrong with it. */
export function Asked({ name, field, text, typedIn, units, fault, onType }: AskedProps) {
  const id = `ask-${name}`;
  if (field.choices)
    return (
      <Form.Group controlId={id}>
        <Form.Label>{field.label}</Form.Label>
        <Form.Select value={text} onChange={(e) => onType(e.target.value)}>
          {field.choices.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </Form.Select>
        <div className="said" />
      </Form.Group>
    );
  const said = fault ? writeSentence(fault.says, units) : readAs(field, text, typedIn, units);
  return (
    <Form.Group controlId={id} className={field.kind === 'numberList' || field.kind === 'lengthList' ? 'long' : ''}>
      <Form.Label>
        {field.label}
        {field.unit !== undefined && <span className="quiet">, {field.unit}</span>}
      </Form.Label>
      <Form.Control
        className="fig"
        value={text}
        maxLength={600}
        autoComplete="off"
        spellCheck={false}
        aria-invalid={fault !== undefined}
        aria-describedby={`${id}-said`}
        inputMode={field.kind === 'number' ? 'decimal' : 'text'}
        onChange={(e) => onType(e.target.value)}
      />
      <div id={`${id}-said`} className={`said ${fault ? 'bad' : ''}`}>
        {said}
        {fault?.nearest?.slice(0, 7).map((n) => (
          <span key={n}>
            {' '}
            <Button variant="link" size="sm" onClick={() => onType(n)}>
              {n}
            </Button>
          </span>
        ))}
      </div>
    </Form.Group>
  );
}

/** A length as it was understood, in both units. */
function readAs(field: Field, text: string, typedIn: Units, units: Units): string {
  if (field.kind !== 'length') return '';
  const read = field.read(text, typedIn);
  if (!read.ok || typeof read.value !== 'number' || read.value === 0) return '';
  const one = (u: Units) => `${writeExact(Number(read.value), u)} ${u}`;
  return units === 'mm' ? `${one('mm')}, ${short(read.value, 'in')}` : `${short(read.value, 'in')}, ${one('mm')}`;
}

const short = (mm: number, units: Units) => writeWithUnit({ is: 'length', value: mm, step: 0.001 }, units);
