import { type Fault, faults, type StandSet } from '@obra/core/practice';
import type { ReactNode } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Speaking } from './useSpeaking';

const wrong: Readonly<Record<Fault, string>> = {
  none: 'its line is sound',
  noise: 'noise on the line',
  dropped: 'a sign is lost on the way',
  unit: 'it was switched to the other unit',
  silence: 'it falls silent',
  flood: 'it sends without end',
};

/** Gauges to lay on, by hand or by a line of their own; the line may be made to go wrong. */
export function StandGauges({
  set,
  shown,
  speaking,
  onMeasure,
  children,
}: {
  readonly set: StandSet;
  readonly shown: string;
  readonly speaking: Speaking;
  readonly onMeasure: (gauge: string) => void;
  readonly children: ReactNode;
}) {
  return (
    <section aria-label="Gauges">
      {set.gauges.map((g, i) => (
        <Button
          key={g.id}
          className="tall-44 w-100 mb-2"
          variant="outline-dark"
          {...(i === 0 && { 'aria-keyshortcuts': 'm' })}
          onClick={() => onMeasure(g.id)}>
          measure: {g.name}
        </Button>
      ))}
      <div className="large size-30 fig" data-testid="reading" aria-live="polite">
        {shown}
      </div>
      <Form.Check
        type="switch"
        id="gauge-speaks"
        label="the gauge speaks by a line"
        checked={speaking.on}
        onChange={(e) => speaking.turn(e.target.checked)}
      />
      {speaking.on && (
        <>
          <Form.Select
            size="sm"
            aria-label="the line of the gauge"
            value={speaking.fault}
            onChange={(e) => speaking.goWrong(e.target.value as Fault)}>
            {faults.map((f) => (
              <option key={f} value={f}>
                {wrong[f]}
              </option>
            ))}
          </Form.Select>
          {speaking.trouble !== undefined && (
            <div className="out" role="alert">
              {speaking.trouble}
            </div>
          )}
        </>
      )}
      {children}
    </section>
  );
}
