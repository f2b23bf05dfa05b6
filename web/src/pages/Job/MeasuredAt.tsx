import type { Ends } from '@obra/core/bench';
import { type Units, writeWithUnit } from '@obra/core/quantity';
import { Button } from 'react-bootstrap';

interface Props {
  readonly ends: Ends;
  readonly at: keyof Ends;
  readonly units: Units;
  readonly onAt: (at: keyof Ends) => void;
}

/** Which end of a slender row the reading is of. */
export function MeasuredAt({ ends, at, units, onAt }: Props) {
  return (
    <div className="d-flex gap-2 align-items-center mt-2 size-16" role="group" aria-label="measured at">
      <span className="quiet">Measured at both ends of the cut:</span>
      {(['free', 'held'] as const).map((end) => (
        <Button key={end} variant="outline-light" active={at === end} aria-pressed={at === end} onClick={() => onAt(end)}>
          {end} end, {writeWithUnit({ is: 'length', value: ends[end], step: 0.1 }, units)} from zero
        </Button>
      ))}
    </div>
  );
}
