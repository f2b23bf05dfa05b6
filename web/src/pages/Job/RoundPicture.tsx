import type { Entry } from '@obra/core/document';
import type { Characteristic } from '@obra/core/drawing';
import { placesRound, roundOf } from '@obra/core/inspection';
import { type Units, write, writeWithUnit } from '@obra/core/quantity';

interface Props {
  readonly size: Characteristic;
  readonly read: readonly Extract<Entry, { kind: 'reading' }>[];
  readonly name: string;
  readonly units: Units;
}

/** The picture, px: its middle, the circle that stands for a true piece, and how far the largest deviation is drawn from it. */
const [WIDE, MIDDLE, TRUE, DEEP] = [210, 105, 64, 30];
/** Round the piece as it is seen from its free face, the first place at the top. */
const at = (radius: number, turn: number): readonly [number, number] => [
  MIDDLE + radius * Math.sin(2 * Math.PI * turn),
  MIDDLE - radius * Math.cos(2 * Math.PI * turn),
];
const point = (p: readonly [number, number]): string => `${p[0].toFixed(1)},${p[1].toFixed(1)}`;

/** What an indicator showed round a piece: enlarged on a true circle, with where its middle lies and what is left when it is put true. */
export function RoundPicture({ size, read, name, units }: Props) {
  const last = read.at(-1);
  const places = last && placesRound(last.value);
  if (!places?.ok || places.value.length < 3 || !size.limits) return null;
  const { value } = places;
  const told = roundOf(value);
  const mean = value.reduce((a, b) => a + b, 0) / value.length;
  const most = Math.max(...value.map((v) => Math.abs(v - mean)), size.limits.max / 2);
  const factor = most > 0 ? DEEP / most : 0;
  const half = (size.limits.max / 2) * factor;
  const drawn = value.map((v, i) => at(TRUE + (v - mean) * factor, i / value.length));
  const high = value.indexOf(Math.max(...value));
  const fine = (mm: number) => writeWithUnit({ is: 'length', value: mm, step: 0.001 }, units);
  const [mx, my] = at(told.off * factor, told.towards / (2 * Math.PI));
  return (
    <figure className="round-picture" data-testid="round">
      <svg
        width={WIDE}
        height={WIDE}
        role="img"
        aria-label={`${name}: ${value.map((v, i) => `${String(Math.round((360 * i) / value.length))}° ${write({ is: 'length', value: v, step: 0.001 }, units).text}`).join(', ')}`}>
        <circle className="limits" cx={MIDDLE} cy={MIDDLE} r={TRUE} strokeWidth={Math.max(1, 2 * half)} />
        <circle className="true" cx={MIDDLE} cy={MIDDLE} r={TRUE} />
        <path className="cross" d={`M${MIDDLE - 6} ${MIDDLE}h12M${MIDDLE} ${MIDDLE - 6}v12`} />
        <polygon className="surface" points={drawn.map(point).join(' ')} />
        {drawn.map((p, i) => (
          <circle key={i} className={i === high ? 'high' : ''} cx={p[0]} cy={p[1]} r={i === high ? 4 : 2.5} />
        ))}
        {told.off > 0.0005 && <circle className="middle" cx={mx} cy={my} r={3.5} />}
        <text x={MIDDLE} y={14} textAnchor="middle">
          first place
        </text>
      </svg>
      <figcaption>
        {name}, {value.length} places round: {fine(told.tir)} high to low, of {fine(size.limits.max)}. The middle lies {fine(told.off)} off, towards{' '}
        {String(Math.round(((told.towards * 180) / Math.PI + 360) % 360))}° from the first place
        {value.length >= 4 && <>; put true, {fine(told.left)} would be left: the piece itself is out of round by that</>}. Drawn{' '}
        {String(Math.round(factor))} times as large{units === 'in' ? ' as a millimetre' : ''}.
      </figcaption>
    </figure>
  );
}
