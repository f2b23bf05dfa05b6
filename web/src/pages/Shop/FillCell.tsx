import type { Tool } from '@obra/core/document';
import { type Units, writeSentence } from '@obra/core/quantity';
import { fillTools } from '@obra/core/shop';
import { type KeyboardEvent, useId, useState } from 'react';
import { Button, Form } from 'react-bootstrap';

interface Props {
  readonly tools: readonly Tool[];
  readonly units: Units;
  readonly onFill: (tools: readonly Omit<Tool, 'id'>[]) => void;
}

/** A drawer full of tools from one line: what it would come to stands beside it before it is taken. */
export function FillCell({ tools, units, onFill }: Props) {
  const [text, setText] = useState('');
  const id = useId();
  const set = text.trim() === '' ? undefined : fillTools(text, units, tools);
  const count = set?.ok ? set.value.length : 0;
  const take = () => {
    if (!set?.ok || count === 0) return;
    onFill(set.value);
    setText('');
  };
  const says =
    set === undefined
      ? 'drills 1 to 10 by 0.1 · number drills · letter drills · taps M3-M12 · dies UNC #4 to 1/2 · reamers 3 to 12 by 1'
      : !set.ok
        ? `${writeSentence(set.problems[0]?.says ?? [], units)}.`
        : count === 0
          ? 'All of it is in the drawer already.'
          : `${String(count)} ${count === 1 ? 'tool' : 'tools'}: ${namesOf(set.value)}. What is in the drawer already is left out.`;
  return (
    <div className="fill-cell">
      <label htmlFor={id}>a set</label>
      <Form.Control
        id={id}
        value={text}
        maxLength={120}
        autoComplete="off"
        spellCheck={false}
        placeholder="drills 1 to 10 by 0.1"
        aria-describedby={`${id}-says`}
        aria-invalid={set?.ok === false}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e: KeyboardEvent) => {
          if (e.key === 'Enter') take();
        }}
      />
      <Button variant="outline-dark" disabled={count === 0} onClick={take}>
        put it in the drawer
      </Button>
      <span id={`${id}-says`} className={set?.ok === false ? 'out' : 'quiet'} role="status">
        {says}
      </span>
    </div>
  );
}

const namesOf = (tools: readonly Omit<Tool, 'id'>[]): string => {
  const names = tools.map((t) => t.name);
  return names.length <= 4 ? names.join(', ') : `${names.slice(0, 2).join(', ')} … ${names.at(-1) ?? ''}`;
};
