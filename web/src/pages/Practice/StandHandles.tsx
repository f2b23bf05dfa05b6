import type { Deed, Stand, StandSet } from '@obra/core/practice';
import { parseLength, type Units, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { mmOf } from '@obra/core/shop';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Dial } from './Dial';

interface Props {
  readonly set: StandSet;
  readonly stand: Stand;
  readonly dialUnits: Units;
  /** of the handle that sets the size, mm */
  readonly division: number;
  readonly onAct: (deed: Deed) => void;
}

/** So far the handle is backed off at a press, mm: more than any take-up. */
const BACK: Readonly<Record<Units, number>> = { mm: 1, in: 1.27 };
/** So far the tool is wound clear of the edge, and past the end of its way, mm. */
const CLEAR = 10;
const PAST = 2;
/** Divisions that stand round a ring where nothing else is known. */
const ROUND = 100;

/** The two handles: the one that sets the size, and the one that winds the tool along its way. */
export function StandHandles({ set, stand, dialUnits, division, onAct }: Props) {
  const { way, machine, axis } = set;
  const along = stand.along();
  const other = machine.dials[way.axis];
  const otherUnits = other?.division.units ?? dialUnits;
  const length = (mm: number, step: number, units: Units) => write({ is: 'length', value: mm, step }, units).text;
  return (
    <div className="practice-handles">
      <section aria-label={`${axis} handle, which sets the size`}>
        <h2 className="size-16">{axis} handle: the size</h2>
        <Dial
          value={stand.dial()}
          division={division}
          round={ROUND}
          units={dialUnits}
          words={`${axis} handle`}
          onTurn={(to) => onAct({ do: 'dial', to })}
        />
        <div className="dial-said fig" data-testid="dial" aria-live="polite">
          {length(stand.dial(), division / 10, dialUnits)}
        </div>
        <div className="d-flex gap-2 mt-1">
          <Button variant="outline-dark" onClick={() => onAct({ do: 'dial', to: stand.dial() - BACK[dialUnits] })}>
            back {writeWithUnit({ is: 'length', value: BACK[dialUnits] }, dialUnits)}
          </Button>
          <Button variant="outline-dark" onClick={() => onAct({ do: 'zero' })}>
            zero the ring
          </Button>
        </div>
        <TurnTo words="turn the handle until its dial shows" placeholder="turn it to" units={dialUnits} onTurn={(to) => onAct({ do: 'dial', to })}>
          turn
        </TurnTo>
      </section>
      <section aria-label={`${way.axis} handle, which winds the tool along`}>
        <h2 className="size-16">{way.axis} handle: along</h2>
        <Dial
          small
          value={along}
          division={mmOf(other?.division, 0.1)}
          round={ROUND}
          units={otherUnits}
          words={`${way.axis} handle`}
          onTurn={(to) => onAct({ do: 'along', to })}
        />
        <div className="text-center" data-testid="along" aria-live="polite">
          <span className="fig">{length(Math.abs(along), 0.1, otherUnits)}</span> {along >= 0 ? 'clear of the edge' : 'over the work'}
        </div>
        <div className="d-flex gap-2 mt-1 flex-wrap justify-content-center">
          <Button variant="outline-dark" onClick={() => onAct({ do: 'along', to: CLEAR })}>
            wind clear
          </Button>
          <Button variant="outline-dark" onClick={() => onAct({ do: 'along', to: -way.long - PAST })}>
            through by hand
          </Button>
        </div>
      </section>
    </div>
  );
}

/** A handle turned to a reading that is typed, in the unit of its dial. */
function TurnTo({
  words,
  placeholder,
  units,
  onTurn,
  children,
}: {
  readonly words: string;
  readonly placeholder: string;
  readonly units: Units;
  readonly onTurn: (to: number) => void;
  readonly children: string;
}) {
  const [typed, setTyped] = useState('');
  const [refused, setRefused] = useState<string>();
  const turn = () => {
    const read = parseLength(typed.replace(/^\s*[-−]/, ''), units);
    const zero = /^\s*[-−+]?0*[.,]?0*\s*$/.test(typed) && typed.trim() !== '';
    if (!read.ok && !zero) {
      setRefused(writeSentence(read.problems[0]?.says ?? [], units));
      return;
    }
    setRefused(undefined);
    const mm = read.ok ? read.value : 0;
    onTurn(/^\s*[-−]/.test(typed) ? -mm : mm);
    setTyped('');
  };
  return (
    <>
      <Form
        className="d-flex gap-2 mt-2"
        onSubmit={(e) => {
          e.preventDefault();
          turn();
        }}>
        <Form.Control
          className="fig wide-120"
          aria-label={words}
          placeholder={placeholder}
          value={typed}
          maxLength={14}
          isInvalid={refused !== undefined}
          onChange={(e) => setTyped(e.target.value)}
        />
        <Button type="submit" variant="outline-dark" disabled={typed.trim() === ''}>
          {children}
        </Button>
      </Form>
      {refused !== undefined && (
        <div role="alert" className="out">
          {refused}
        </div>
      )}
    </>
  );
}
