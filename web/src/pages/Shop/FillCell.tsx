import { type Parsed, type Units, writeSentence } from '@obra/core/quantity';
import { type KeyboardEvent, useId, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { putItIn } from '../../words/pressed';

interface Props<T> {
  readonly of: (text: string) => Parsed<readonly T[]>;
  readonly one: string;
  readonly such: string;
  readonly placeholder: string;
  readonly units: Units;
  readonly onFill: (items: readonly T[]) => void;
}

/** A drawer full of tools, or a set of collets, from one line: what it would come to stands beside it before it is taken. */
export function FillCell<T extends { readonly name: string }>({ of, one, such, placeholder, units, onFill }: Props<T>) {
  const [text, setText] = useState('');
  const id = useId();
  const set = text.trim() === '' ? undefined : of(text);
  const count = set?.ok ? set.value.length : 0;
  const take = () => {
    if (!set?.ok || count === 0) return;
    onFill(set.value);
    setText('');
  };
  const says =
    set === undefined
      ? such
      : !set.ok
        ? `${writeSentence(set.problems[0]?.says ?? [], units)}.`
        : count === 0
          ? 'All of it is there already.'
          : `${String(count)} ${count === 1 ? one : `${one}s`}: ${namesOf(set.value)}. What is there already is left out.`;
  return (
    <div className="fill-cell">
      <label htmlFor={id}>a set</label>
      <Form.Control
        id={id}
        value={text}
        maxLength={120}
        autoComplete="off"
        spellCheck={false}
        placeholder={placeholder}
        aria-describedby={`${id}-says`}
        aria-invalid={set?.ok === false}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e: KeyboardEvent) => {
          if (e.key === 'Enter') take();
        }}
      />
      <Button variant="outline-dark" disabled={count === 0} onClick={take}>
        {putItIn}
      </Button>
      <span id={`${id}-says`} className={set?.ok === false ? 'out' : 'quiet'} role="status">
        {says}
      </span>
    </div>
  );
}

const namesOf = (items: readonly { readonly name: string }[]): string => {
  const names = items.map((t) => t.name);
  return names.length <= 4 ? names.join(', ') : `${names.slice(0, 2).join(', ')} … ${names.at(-1) ?? ''}`;
};
