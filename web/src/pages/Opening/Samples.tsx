import { SmallOutline } from '../../small';
import { type SampleLine, samples } from './samples.table';

/** Of a picture, px. */
const [WIDE, TALL] = [200, 60] as const;

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

function Sample({ sample: { rows, says, outline, long, radius }, onTake }: { readonly sample: SampleLine; readonly onTake: (line: string) => void }) {
  const line = rows.map(([size, length]) => `${size} x ${length}`).join('; ');
  return (
    <button type="button" onClick={() => onTake(line)}>
      <SmallOutline outline={outline} long={long} radius={radius} width={WIDE} height={TALL} />
      <div>{says}</div>
      <div className="fig quiet size-13">{line}</div>
    </button>
  );
}
