import type { Cell, Entry, Machine } from '@obra/core/document';
import { type Units, writeExact, writeWithUnit } from '@obra/core/quantity';
import { dialFound } from '@obra/core/sizing';
import { Button } from 'react-bootstrap';
import type { JobView } from './view';
import { dialReadsSo, readAgain } from '../../words/pressed';

type Reading = Extract<Entry, { kind: 'reading' }>;

/** The same reading once more, without what makes an entry of its own. */
export function again({ piece, step, of, value, along, gauge, celsius }: Reading) {
  return { kind: 'reading' as const, piece, step, of, value, gauge, ...(along && { along }), ...(celsius !== undefined && { celsius }) };
}

/** The cross dial from now on reads what it was found to read: in the shop, and in the copy of it that this job was given out with. */
export function setDial({ open, job }: Pick<JobView, 'open' | 'job'>, machine: Machine, reads: 'radius' | 'diameter'): void {
  const edits = dialFound(machine, reads);
  if (job.issue)
    open.edit(
      edits.map((e) => ({ ...e, at: `issue/kit/${e.at}` })),
      'job',
    );
  open.edit(edits, 'shop');
}

interface Props {
  /** mm */
  readonly meant: number | undefined;
  readonly units: Units;
  readonly onRight: () => void;
  readonly onMeant: (cell: Cell) => void;
  /** what the cross dial seems to read instead of what the shop says */
  readonly dialReads?: 'radius' | 'diameter' | undefined;
  readonly onDialReads?: (reads: 'radius' | 'diameter') => void;
}

/** A reading that surprises is asked about: what was likely meant is one press away, and so is that it stands. */
export function Asked({ meant, units, onRight, onMeant, dialReads, onDialReads }: Props) {
  return (
    <div className="d-flex gap-2 mt-2 flex-wrap" role="group" aria-label="Is this right?">
      {meant !== undefined && (
        <Button className="tall-56" variant="light" onClick={() => onMeant({ text: writeExact(meant, units), units })}>
          it was {writeWithUnit({ is: 'length', value: meant, step: 0.001 }, units)}
        </Button>
      )}
      {dialReads !== undefined && onDialReads && (
        <Button className="tall-56" variant="light" onClick={() => onDialReads(dialReads)}>
          {dialReadsSo(dialReads)}
        </Button>
      )}
      <Button className="tall-56" variant="outline-light" onClick={onRight}>
        {readAgain}
      </Button>
    </div>
  );
}
