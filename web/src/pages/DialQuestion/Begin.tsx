import type { Units } from '@obra/core/quantity';
import { Button } from 'react-bootstrap';
import { DialStrip } from './DialStrip';

export interface Example {
  readonly what: 'outside' | 'bore' | 'length';
  readonly wanted: string;
  readonly measured: string;
}

const SUCH: Readonly<Record<Units, readonly (Example & { readonly says: string })[]>> = {
  mm: [
    { what: 'outside', wanted: '25 h6', measured: '25.626', says: 'a journal to 25 h6, 25.626 now' },
    { what: 'bore', wanted: '30 H7', measured: '29.62', says: 'a bore to 30 H7, 29.62 now' },
    { what: 'length', wanted: '40 ±0.05', measured: '40.8', says: 'a length of 40 ±0.05, 40.8 now' },
  ],
  in: [
    { what: 'outside', wanted: '.750 +0 -.0005', measured: '.774', says: 'a journal to .750 +0 -.0005, .774 now' },
    { what: 'bore', wanted: '1.000 H7', measured: '.985', says: 'a bore to 1.000 H7, .985 now' },
    { what: 'length', wanted: '1.500 ±.002', measured: '1.530', says: 'a length of 1.500 ±.002, 1.530 now' },
  ],
};

interface Props {
  readonly says: string;
  readonly units: Units;
  /** of the lathe, and its cross dial where it has one that is turned; mm */
  readonly name: string;
  readonly dial: { readonly division: number; readonly units: Units; readonly takes: number } | undefined;
  readonly onTake: (example: Example) => void;
}

/** Before there is an answer: what is wanted next, how it goes, three to try, and what the dial of this lathe does. */
export function Begin({ says, units, name, dial, onTake }: Props) {
  return (
    <>
      <p className="size-24 m-0">{says}</p>
      <ol className="dial-begin">
        <li>Touch the work, measure it, and type both here.</li>
        <li>Dial what stands here in great figures, take the cut, measure again.</li>
        <li>Type that reading as well: each one tells how lathe and work give way, and the last cut goes by it.</li>
      </ol>
      <h2 className="mt-4">Such as</h2>
      <div className="d-flex gap-2 flex-wrap">
        {SUCH[units].map((one) => (
          <Button key={one.says} variant="outline-light" onClick={() => onTake(one)}>
            {one.says}
          </Button>
        ))}
      </div>
      {dial && (
        <div className="mt-4">
          <h2>The cross dial of {name}</h2>
          <DialStrip turns={10 * dial.division} {...dial} />
        </div>
      )}
    </>
  );
}
