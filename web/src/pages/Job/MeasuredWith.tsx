import { type AtSize, endRead } from '@obra/core/bench';
import type { Step } from '@obra/core/operations';
import type { Units } from '@obra/core/quantity';
import { speedAndFeed } from './measuring';

interface Props {
  readonly at: AtSize;
  readonly step: Step;
  readonly units: Units;
  readonly onGauge: (id: string) => void;
}

/** The gauge in hand, speed and feed, and what was read so far. */
export function MeasuredWith({ at: { sized, gauges, inHand, readings, ends }, step, units, onGauge }: Props) {
  if (!sized && gauges.length < 2) return null;
  return (
    <div className="d-flex gap-3 align-items-center flex-wrap mt-2 size-16">
      <select className="form-select wide-190" aria-label="gauge" value={inHand ?? ''} onChange={(e) => onGauge(e.target.value)}>
        {gauges.map((g) => (
          <option key={g.id} value={g.id}>
            {g.name}
          </option>
        ))}
      </select>
      <span className="quiet text-nowrap">{speedAndFeed(step, units)}</span>
      <span className="past" role="group" aria-label="readings so far">
        {readings
          .map((r) => `${r.value.text}${ends && r.along ? ` ${endRead(r, ends)} end` : ''}${r.celsius !== undefined ? ` at ${r.celsius} °C` : ''}`)
          .join(' → ')}
      </span>
    </div>
  );
}
