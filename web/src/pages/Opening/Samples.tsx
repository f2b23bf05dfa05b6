import { blankDrawing } from '@obra/core/document';
import { readDrawing } from '@obra/core/drawing';
import type { Units } from '@obra/core/quantity';
import { SmallPart } from '../../small';

interface SampleLine {
  readonly rows: readonly (readonly [size: string, length: string])[];
  readonly units: Units;
  readonly says: string;
}

const samples: readonly SampleLine[] = [
  {
    rows: [
      ['M12', '18'],
      ['19 h7', '25'],
      ['25', '38'],
    ],
    units: 'mm',
    says: 'stepped bolt',
  },
  {
    rows: [
      ['1/2-13', '3/4'],
      ['3/4 -.001', '1'],
      ['1', '1-1/2'],
    ],
    units: 'in',
    says: 'stud, in inches',
  },
  {
    rows: [
      ['16 g6', '30'],
      ['32', '12'],
      ['20 +/-0.05', '15'],
    ],
    units: 'mm',
    says: 'dowel with a collar',
  },
];

interface Props {
  /** what was typed last, offered beside them */
  readonly left: string;
  readonly onTake: (line: string) => void;
}

/** Three lines to begin with, drawn small, and the one that was left. */
export function Samples({ left, onTake }: Props) {
  return (
    <>
      <h2>Samples</h2>
      <div className="samples">
        {samples.map((s) => (
          <Sample key={s.says} sample={s} onTake={onTake} />
        ))}
        {left.trim() !== '' && (
          <button type="button" onClick={() => onTake(left)}>
            <div>where you left it</div>
            <div className="fig quiet size-13">{left}</div>
          </button>
        )}
      </div>
    </>
  );
}

function Sample({ sample: { rows, units, says }, onTake }: { readonly sample: SampleLine; readonly onTake: (line: string) => void }) {
  const line = rows.map(([size, length]) => `${size} x ${length}`).join('; ');
  const outside = rows.map(([size, length], i) => ({ id: `s${String(i + 1)}`, size: { text: size, units }, length: { text: length, units } }));
  return (
    <button type="button" onClick={() => onTake(line)}>
      <SmallPart part={readDrawing({ ...blankDrawing(), outside })} width={200} height={60} />
      <div>{says}</div>
      <div className="fig quiet size-13">{line}</div>
    </button>
  );
}
