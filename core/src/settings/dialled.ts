import type { Holding } from '../document';
import { type Feature, isShaped, letterOf } from '../drawing';
import type { Reason } from '../finding';
import { reason } from '../operations';
import { diameter, length, say, type Sentence } from '../quantity';
import type { End } from '../ref';
import { mmOf } from '../shop';
import type { Making } from './setting';

/* How a piece that was finished in part is taken into a holding again: what it is dialled on, and what lies between it and the jaws. */

/** A feature as one says it at the machine. */
function named(row: Feature): Sentence {
  const size = diameter(row.nearDiameter.nominal);
  if (row.form === 'taper') return row.side === 'outside' ? say`the taper` : say`the inner taper`;
  if (row.form === 'thread') return say`${row.thread ?? 'the thread'}`;
  return row.side === 'outside' ? say`${size}` : say`the bore, ${size}`;
}

/** What takes an indicator to it. */
const indicator = (row: Feature): Sentence => (row.side === 'outside' ? say`an indicator` : say`a lever indicator`);

/** Holdings whose jaws are moved one by one. */
const adjustable = (holding: Holding | undefined): boolean => holding?.kind === 'fourJaw' || holding?.kind === 'faceplate';

/**
 * On what a piece held again is dialled: the very feature that the drawing names, else what is gripped. A self-centring chuck cannot be dialled, and says so.
 * @source dial-on-datum, moved-is-lost, common practice
 */
export function dialledOn(making: Making, holding: Holding | undefined, end: End, gripped: number, datums: readonly string[]): readonly Reason[] {
  const { part } = making.facts;
  const within = length(mmOf(holding?.trueWithin), 0.001);
  const rows = datums.flatMap((id) => part.features.find((f) => f.id === id) ?? []);
  if (rows.length === 0)
    return [
      reason(
        'moved-is-lost',
        adjustable(holding)
          ? say`dialled on ${diameter(gripped)} within ${within}; zero is now face ${letterOf(end)}`
          : say`it runs as this holding does, within ${within}; looked at with an indicator on ${diameter(gripped)}; zero is now face ${letterOf(end)}`,
        end,
      ),
    ];
  return [
    ...rows.map((row) =>
      reason(
        'dial-on-datum',
        adjustable(holding)
          ? say`dialled on ${named(row)} with ${indicator(row)}, before roughing and once more before the finishing cut: the drawing wants it true to that`
          : holding?.kind === 'softJaws' || holding?.kind === 'softCollet'
            ? say`bored in place it need not be dialled within ${within}: look at ${named(row)} with ${indicator(row)} all the same`
            : say`look at ${named(row)} with ${indicator(row)}: it runs true within ${within} or it is taken out and put in again, a tap does not set it`,
        row.id,
      ),
    ),
    reason('moved-is-lost', say`zero is now face ${letterOf(end)}`, end),
  ];
}

/**
 * What lies between jaws or a collet and a surface that neither may close on bare: a thread, a knurl, a taper.
 * @source soft-pads, grip-on, common practice
 */
export function between({ facts }: Making, [from, to]: readonly [number, number]): readonly Reason[] {
  const { part } = facts;
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const under = part.features.filter((f) => f.side === 'outside' && Math.min(f.near, f.far) < high - 0.05 && Math.max(f.near, f.far) > low + 0.05);
  return under.flatMap((row): Reason[] => {
    const knurled = part.details.some(
      (d) => d.kind === 'knurl' && d.on === row.id && Math.min(d.near, d.far) < high - 0.05 && Math.max(d.near, d.far) > low + 0.05,
    );
    if (knurled) return [reason('soft-pads', say`over the knurl a split copper tube, or soft pads: closed on bare it is crushed`, row.id)];
    if (row.form === 'thread')
      return [
        reason(
          'soft-pads',
          say`over ${row.thread ?? 'the thread'} a split nut or a split threaded bush, lightly: no jaw closes on a bare thread`,
          row.id,
        ),
      ];
    if (isShaped(row))
      return [
        reason('soft-pads', say`round the ${row.form} a split bush bored to it, or soft pads: jaws touch it on a line and it creeps out`, row.id),
      ];
    return [];
  });
}
