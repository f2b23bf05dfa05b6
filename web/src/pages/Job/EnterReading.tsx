import type { Characteristic } from '@obra/core/drawing';
import { readingOf } from '@obra/core/inspection';
import { writeSentence } from '@obra/core/quantity';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly size: Characteristic;
  readonly piece: number;
}

/** A reading typed at Inspection, with its gauge: it goes into the record of the Bench. */
export function EnterReading({ view, size, piece }: Props) {
  const { units, add, job, shop } = view;
  const [text, setText] = useState('');
  const [says, setSays] = useState<string>();
  const kit = job.issue?.kit ?? shop;
  // a finish is compared and an angle set by: no gauge of the shop is asked for
  const kinds =
    size.is === 'finish' || size.is === 'angle'
      ? []
      : size.is === 'runout'
        ? ['dial']
        : ['caliper', 'micrometer', 'depth', 'rule', 'bore', 'telescoping'];
  const gauges = kit.gauges.filter((g) => kinds.includes(g.kind));
  const [gauge, setGauge] = useState(
    gauges.find((g) => g.kind === (size.care === 'critical' ? 'micrometer' : 'caliper'))?.id ?? gauges[0]?.id ?? 'none',
  );
  const keep = async () => {
    if (text.trim() === '') return;
    const read = readingOf(size.is, { text, units });
    if (!read.ok) {
      setSays(writeSentence(read.problems[0]?.says ?? [], units));
      return;
    }
    try {
      await add({ kind: 'reading', of: size.id, value: { text: text.trim(), units }, gauge, piece, step: null });
      setText('');
      setSays(undefined);
    } catch {
      setSays('not stored: storage full or blocked');
    }
  };
  return (
    <Form
      className="d-flex gap-1"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}>
      <Form.Control
        className="fig wide-78"
        value={text}
        placeholder={size.is === 'runout' ? '0 .01 -.005' : undefined}
        aria-label={`reading of ${size.is} ${size.balloon}`}
        isInvalid={says !== undefined}
        title={says}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => void keep()}
      />
      {gauges.length > 0 && (
        <Form.Select
          className="wide-150"
          value={gauge}
          aria-label={`gauge for ${size.is} ${size.balloon}`}
          onChange={(e) => setGauge(e.target.value)}>
          {gauges.map((g) => (
            <option key={g.id} value={g.id}>
              {g.name}
            </option>
          ))}
        </Form.Select>
      )}
      {says !== undefined && (
        <span className="out" role="alert">
          {says}
        </span>
      )}
    </Form>
  );
}

/** What a thread does with its gauge. */
export function GoesOn({ view, size, piece }: Props) {
  const say = (feel: string) => void view.add({ kind: 'trial', mate: size.id.replace('.', '-'), feel, piece, step: null });
  return (
    <div className="d-flex gap-1">
      <Button size="sm" variant="outline-dark" onClick={() => say('gauge goes')}>
        gauge goes
      </Button>
      <Button size="sm" variant="outline-dark" onClick={() => say('does not go')}>
        does not go
      </Button>
    </div>
  );
}
