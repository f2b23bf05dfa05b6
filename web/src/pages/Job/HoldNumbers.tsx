import type { Cell, Choice, Job } from '@obra/core/document';
import { parseLength, write } from '@obra/core/quantity';
import { chuckingsOf, type Chucking } from '@obra/core/settings';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { holdEdits } from '../../fields';
import type { JobView } from './view';

/** How a person has a chucking held. */
export type Hold = Extract<Choice, { kind: 'hold' }>;

/** The choice of how a chucking is held, as it stands now. */
export function holdOf(job: Job, held: Chucking): Hold {
  const own = job.choices.findLast((c): c is Hold => c.kind === 'hold' && c.setup === held.id);
  return own ?? { kind: 'hold', id: `hold-${held.id}`, setup: held.id, holding: held.holding, support: held.support.map(({ item }) => ({ item })) };
}

/** Grip, stick-out and the place of a steady, by number; an empty cell leaves it as computed. */
export function HoldNumbers({ view, held }: { readonly view: JobView; readonly held: Chucking }) {
  const { job, units, open } = view;
  const own = job.choices.findLast((c): c is Hold => c.kind === 'hold' && c.setup === held.id);
  const steady = held.support.find((s) => s.kind === 'steady');
  const base = holdOf(job, held);
  const route = view.plan?.routes[0];
  const put = (value: Hold) => open.edit(holdEdits(route, value));
  const set = (key: 'grip' | 'stickOut') => (cell: Cell | undefined) => {
    const rest = Object.fromEntries(Object.entries(base).filter(([k]) => k !== key)) as unknown as Hold;
    put(cell ? { ...rest, [key]: cell } : rest);
  };
  const place = (cell: Cell | undefined) => {
    if (steady) put({ ...base, support: base.support.map((s) => (s.item === steady.item ? { item: s.item, ...(cell && { at: cell }) } : s)) });
  };
  // between centres and on a plate there is nothing to set
  if (job.issue || held.settings.some((s) => s.carried)) return null;
  return (
    <Form className="d-flex gap-3 align-items-center ms-auto flex-wrap" onSubmit={(e) => e.preventDefault()}>
      <NumberCell
        key={`grip ${held.id} ${own?.grip?.text ?? ''}`}
        id="grip"
        words="grip"
        cell={own?.grip}
        shown={write(held.grip, units).text}
        units={units}
        onSet={set('grip')}
      />
      {route?.layout === 'chuck' && held.id === chuckingsOf(route.setups)[0]?.id && (
        <NumberCell
          key={`out ${own?.stickOut?.text ?? ''}`}
          id="stick-out"
          words="stick-out"
          cell={own?.stickOut}
          shown={write(held.stickOut, units).text}
          units={units}
          onSet={set('stickOut')}
        />
      )}
      {steady && (
        <NumberCell
          key={`steady ${own?.support.find((s) => s.item === steady.item)?.at?.text ?? ''}`}
          id="steady-at"
          words="steady, from the face"
          cell={own?.support.find((s) => s.item === steady.item)?.at}
          shown={write({ is: 'length', value: steady.from, step: 0.1 }, units).text}
          units={units}
          onSet={place}
        />
      )}
    </Form>
  );
}

function NumberCell({
  id,
  words,
  cell,
  shown,
  units,
  onSet,
}: {
  readonly id: string;
  readonly words: string;
  readonly cell: Cell | undefined;
  readonly shown: string;
  readonly units: JobView['units'];
  readonly onSet: (cell: Cell | undefined) => void;
}) {
  const [text, setText] = useState(cell?.text ?? '');
  const typedIn = cell?.units ?? units;
  const read = parseLength(text, typedIn);
  const bad = text.trim() !== '' && !read.ok;
  const set = () => {
    if (bad || text.trim() === (cell?.text ?? '')) return;
    onSet(text.trim() === '' ? undefined : { text: text.trim(), units: cell && cell.text !== '' ? typedIn : units });
  };
  return (
    <span className="d-flex gap-2 align-items-center">
      <Form.Label htmlFor={id} className="m-0 quiet">
        {words}
      </Form.Label>
      <Form.Control
        id={id}
        className="fig wide-84"
        value={text}
        placeholder={shown}
        autoComplete="off"
        onChange={(e) => setText(e.target.value)}
        onBlur={set}
        onKeyDown={(e) => {
          if (e.key === 'Enter') set();
        }}
        isInvalid={bad}
      />
      {bad && (
        <span role="alert" className="out">
          a length, such as 40
        </span>
      )}
    </span>
  );
}
