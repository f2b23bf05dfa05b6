import { readDrawing, readLine } from '@obra/core/drawing';
import type { Units } from '@obra/core/quantity';
import { SmallPart } from '../../bar';

interface SampleLine {
  readonly line: string;
  readonly units: Units;
  readonly says: string;
}

const samples: readonly SampleLine[] = [
  { line: 'M12 x 18; 19 h7 x 25; 25 x 38', units: 'mm', says: 'stepped bolt' },
  { line: '1/2-13 x 3/4; 3/4 -.001 x 1; 1 x 1-1/2', units: 'in', says: 'stud, in inches' },
  { line: '16 g6 x 30; 32 x 12; 20 +/-0.05 x 15', units: 'mm', says: 'dowel with a collar' },
];

/** Three lines to begin with, drawn small. */
export function Samples({ onTake }: { readonly onTake: (line: string) => void }) {
  return (
    <>
      <h2>Samples</h2>
      <div className="samples">
        {samples.map((s) => (
          <Sample key={s.line} sample={s} onTake={() => onTake(s.line)} />
        ))}
      </div>
    </>
  );
}

function Sample({ sample, onTake }: { readonly sample: SampleLine; readonly onTake: () => void }) {
  const read = readLine(sample.line, sample.units);
  return (
    <button type="button" onClick={onTake}>
      {read.ok && <SmallPart part={readDrawing(read.value)} width={200} height={60} />}
      <div>{sample.says}</div>
      <div className="fig quiet size-13">{sample.line}</div>
    </button>
  );
}
