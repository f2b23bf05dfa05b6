import './dial.css';
import { type Units, write, writeWithUnit } from '@obra/core/quantity';

interface Props {
  /** one division, mm */
  readonly division: number;
  /** from where to where it is turned, mm of dial */
  readonly turns: number;
  /** of the dial */
  readonly units: Units;
  /** what a division takes off the size, mm; nothing where it is a length itself */
  readonly takes: number;
}

const [WIDE, LEFT, RIGHT, LINE] = [760, 14, 60, 58] as const;
/** A dial of 0.025 is written with all of its digits, mm. */
const DIGIT = 0.001;
const exact = (mm: number, units: Units): string => writeWithUnit({ is: 'length', value: mm, step: DIGIT }, units);
/** Longer moves are drawn by tens. */
const MOST = 60;

/** The dial laid flat: its divisions from where it stands to where it is turned. */
export function DialStrip({ division, turns, units, takes }: Props) {
  const count = Math.abs(turns) / division;
  if (!(count > 0) || !Number.isFinite(count)) return null;
  const by = count > MOST ? Math.ceil(count / MOST / 10) * 10 : 1;
  const shown = Math.max(5, Math.ceil(count / by / 5) * 5);
  const x = (n: number) => LEFT + (n / (shown * by)) * (WIDE - LEFT - RIGHT);
  const size = (mm: number) => write({ is: 'length', value: mm, step: DIGIT }, units).text;
  // what is said of it stands on the side that has the room
  const late = count > (shown * by) / 2;
  const long = shown > 25 ? 10 : 5;
  const says = `${exact(Math.abs(turns), units)}, by divisions of ${exact(division, units)}`;
  return (
    <svg className="dial-strip" viewBox={`0 0 ${String(WIDE)} 96`} role="img" aria-label={`The dial is turned ${says}`}>
      <rect x={x(0)} y={LINE - 26} width={x(count) - x(0)} height={26} className="moved" />
      <line x1={LEFT} x2={x(shown * by)} y1={LINE} y2={LINE} className="rule" />
      {Array.from({ length: shown + 1 }, (_, i) => (
        <g key={i}>
          <line x1={x(i * by)} x2={x(i * by)} y1={LINE} y2={LINE - (i % long === 0 ? 22 : i % 5 === 0 ? 16 : 10)} className="rule" />
          {i % long === 0 && (
            <text x={x(i * by)} y={LINE + 18} textAnchor={i === 0 ? 'start' : 'middle'}>
              {i === 0 ? '0' : size(i * by * division)}
            </text>
          )}
        </g>
      ))}
      <path d={`M${x(count).toFixed(1)} ${String(LINE + 2)}v-40`} className="to" />
      <text x={x(count) + (late ? -8 : 8)} y={LINE - 32} textAnchor={late ? 'end' : 'start'} className="said">
        {says}
      </text>
      <text x={LEFT} y={LINE + 36}>
        one division takes {exact(takes, units)} off
        {by > 1 ? `; drawn by ${String(by)} divisions` : ''}
      </text>
    </svg>
  );
}
