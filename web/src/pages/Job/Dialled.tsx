import type { Cell } from '@obra/core/document';
import { parseLength, type Units, writeSentence } from '@obra/core/quantity';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { leaveIt } from '../../words/pressed';

interface Props {
  /** of the dial */
  readonly units: Units;
  readonly onDialled: (dial: Cell) => void;
}

/** The hand may dial something else than advised: what was really dialled is what counts. */
export function Dialled({ units, onDialled }: Props) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [says, setSays] = useState<string>();
  if (!open)
    return (
      <Button variant="outline-light" onClick={() => setOpen(true)}>
        dialled otherwise
      </Button>
    );
  const keep = () => {
    const out = /^\s*[-−]/.test(text);
    const read = parseLength(text.replace(/^\s*[-−]/, ''), units);
    if (!read.ok && !/^\s*0+(?:[.,]0*)?\s*$/.test(text)) {
      setSays(`Dialled: ${writeSentence(read.problems[0]?.says ?? [], units)}.`);
      return;
    }
    onDialled({ text: `${out ? '-' : ''}${text.replace(/^\s*[-−]/, '').trim()}`, units });
  };
  return (
    <Form
      className="d-flex gap-2 mt-2 align-items-center flex-wrap"
      onSubmit={(e) => {
        e.preventDefault();
        keep();
      }}>
      <Form.Label htmlFor="dialled" className="m-0">
        dialled in, as the dial shows it
      </Form.Label>
      <Form.Control id="dialled" className="fig wide-120" autoFocus value={text} maxLength={14} onChange={(e) => setText(e.target.value)} />
      <span>{units}</span>
      <Button type="submit" variant="light">
        cut taken with it
      </Button>
      <Button variant="outline-light" onClick={() => setOpen(false)}>
        {leaveIt}
      </Button>
      {says !== undefined && (
        <div role="alert" className="out w-100">
          {says}
        </div>
      )}
    </Form>
  );
}
