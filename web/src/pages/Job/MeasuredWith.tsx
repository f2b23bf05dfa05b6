import { type AtSize, endRead } from '@obra/core/bench';
import { checkDue } from '@obra/core/inspection';
import { type Units, writeWithUnit } from '@obra/core/quantity';
import { readsOver } from '@obra/core/shop';
import { Button } from 'react-bootstrap';
import { useNow } from './AfterBreak';
import { lastChecked } from '../../words/found';

/** The gauge in hand, and the unit that it reads in, whatever the job is in: kept for this browser. */
export function MeasuredWith({
  at: { sized, gauges, inHand },
  onGauge,
  units,
  onUnits,
  reads,
}: {
  readonly at: AtSize;
  readonly onGauge: (id: string) => void;
  /** of the gauge */
  readonly units: Units;
  readonly onUnits: (to: Units) => void;
  /** something is read here */
  readonly reads: boolean;
}) {
  const words = units === 'mm' ? 'mm' : 'inch';
  return (
    <>
      {(sized !== undefined || gauges.length > 1) && (
        <select className="form-select" aria-label="gauge" value={inHand ?? ''} onChange={(e) => onGauge(e.target.value)}>
          {gauges.map((g) => (
            <option key={g.id} value={g.id}>
              {g.name}
            </option>
          ))}
        </select>
      )}
      {reads && (
        <Button variant="outline-light" aria-label={`reads ${words}, the unit of the gauge`} onClick={() => onUnits(units === 'mm' ? 'in' : 'mm')}>
          reads {words}
        </Button>
      )}
    </>
  );
}

/** What was read so far, and what is known of the gauge that reads it. */
export function ReadSoFar({ at: { kit, inHand, readings, ends }, units }: { readonly at: AtSize; readonly units: Units }) {
  const now = useNow();
  const gauge = kit.gauges.find((g) => g.id === inHand);
  const due = gauge && checkDue(gauge, kit, now);
  const over = readsOver(gauge);
  return (
    <>
      {readings.length > 0 && (
        <span className="past" role="group" aria-label="readings so far">
          {readings
            .map((r) => `${r.value.text}${ends && r.along ? ` ${endRead(r, ends)} end` : ''}${r.celsius !== undefined ? ` at ${r.celsius} °C` : ''}`)
            .join(' → ')}
        </span>
      )}
      {over !== 0 && (
        <span className="quiet">
          {gauge?.name} reads {writeWithUnit({ is: 'length', value: Math.abs(over), step: 0.001 }, units)} {over > 0 ? 'over' : 'under'}: taken off
        </span>
      )}
      {due !== undefined && <span className="out">{lastChecked(gauge?.name ?? '', due)}</span>}
    </>
  );
}
