import { type Cell, type Entry, type Units, writeExact, writeWithUnit } from '@obra/core';
import { Button } from 'react-bootstrap';

type Reading = Extract<Entry, { kind: 'reading' }>;

/** The same reading once more, without what makes an entry of its own. */
export function again({ piece, step, of, value, along, gauge, celsius }: Reading) {
  return { kind: 'reading' as const, piece, step, of, value, gauge, ...(along && { along }), ...(celsius !== undefined && { celsius }) };
}

interface Props {
  /** mm */
  readonly meant: number | undefined;
  readonly units: Units;
  readonly onRight: () => void;
  readonly onMeant: (cell: Cell) => void;
}

/** A reading that surprises is asked about: what was likely meant is one press away, and so is that it stands. */
export function Asked({ meant, units, onRight, onMeant }: Props) {
  return (
    <div className="d-flex gap-2 mt-2 flex-wrap" role="group" aria-label="Is this right?">
      {meant !== undefined && (
        <Button variant="light" style={{ minHeight: 56 }} onClick={() => onMeant({ text: writeExact(meant, units), units })}>
          it was {writeWithUnit({ is: 'length', value: meant, step: 0.001 }, units)}
        </Button>
      )}
      <Button variant="outline-light" style={{ minHeight: 56 }} onClick={onRight}>
        it is right, I read it again
      </Button>
    </div>
  );
}
