import { type FitOf, looseToTight } from '@obra/core/drawing';
import { type Units, write, writeSentence } from '@obra/core/quantity';
import { FigureNumber } from '../../../slate';

/** Of the picture, px. */
const [WIDE, HIGH, BAR, NAMES] = [270, 44, 15, 46];

interface Props {
  readonly fit: FitOf;
  readonly units: Units;
}

/** Both halves of a fit as bars of tolerance over one another, the hole above; what lies between them in words, at the worst and as it is likely. */
export function FitBars({ fit, units }: Props) {
  const { hole, shaft, own, loosest, tightest, likely } = fit;
  const [low, high] = [Math.min(hole.min, shaft.min), Math.max(hole.max, shaft.max)];
  const span = Math.max(high - low, 0.002);
  const x = (size: number) => NAMES + ((size - low) / span) * (WIDE - NAMES - 4);
  const said = (size: number) => write({ is: 'length', value: size, step: 0.001 }, units).text;
  const bar = (band: FitOf['hole'], y: number, name: 'hole' | 'shaft') => (
    <g>
      <rect
        className={`band ${name} ${name === own ? 'own' : ''}`}
        x={x(band.min)}
        y={y}
        width={Math.max(2.5, x(band.max) - x(band.min))}
        height={BAR}
      />
      <text x={0} y={y + 12}>
        {name}
      </text>
      <title>{`${name} ${said(band.min)} to ${said(band.max)}`}</title>
    </g>
  );
  const words = writeSentence(looseToTight(tightest.value, loosest.value), units);
  const [tight, loose] = likely;
  return (
    <div className="fit-bars">
      <svg
        width={WIDE}
        height={HIGH}
        viewBox={`0 0 ${String(WIDE)} ${String(HIGH)}`}
        role="img"
        aria-label={`hole ${said(hole.min)} to ${said(hole.max)}, shaft ${said(shaft.min)} to ${said(shaft.max)}: ${words}`}>
        <line className="rule" x1={NAMES} x2={WIDE} y1={HIGH / 2} y2={HIGH / 2} />
        {bar(hole, HIGH / 2 - BAR - 3, 'hole')}
        {bar(shaft, HIGH / 2 + 3, 'shaft')}
      </svg>
      <div>
        {words}, likely {writeSentence(looseToTight(tight.value, loose.value), units)}
        <div className="quiet">
          hole less shaft: <FigureNumber figure={tightest} units={units} /> to <FigureNumber figure={loosest} units={units} />, 19 of 20{' '}
          <FigureNumber figure={tight} units={units} /> to <FigureNumber figure={loose} units={units} />
        </div>
      </div>
    </div>
  );
}
