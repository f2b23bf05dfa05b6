import { WAITS } from '@obra/core/bench';
import type { Entry } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { writeClock, writeMinutes } from '@obra/core/quantity';
import { useEffect, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { JobView } from './view';

interface Props {
  readonly step: Step;
  readonly piece: number;
  readonly live: readonly Entry[];
  readonly add: JobView['add'];
  readonly onStore: (work: () => Promise<void>) => Promise<void>;
}

const MINUTE = 60_000;

/** What waits at a step (cooling, curing, tempering) by the clock: its end is in the record, so that a reload does not lose it. */
export function Clock({ step, piece, live, add, onStore }: Props) {
  const waits = step.figures['waits']?.value ?? 0;
  const timer = live.findLast((e) => e.kind === 'timer' && e.says === WAITS);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!timer) return undefined;
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(tick);
  }, [timer]);
  if (waits <= 0) return null;
  const start = () =>
    onStore(async () => {
      setNow(Date.now());
      await add({ kind: 'timer', says: WAITS, until: new Date(Date.now() + waits * MINUTE).toISOString(), piece, step: step.id });
    });
  if (timer?.kind !== 'timer')
    return (
      <div className="line">
        <Button className="tall-48" variant="outline-light" onClick={() => void start()}>
          start the clock: {writeMinutes(waits)}
        </Button>
      </div>
    );
  const whole = Date.parse(timer.until) - Date.parse(timer.at);
  const left = Date.parse(timer.until) - now;
  // a clock that was set back would wait for ever: what was asked for is the most
  const setBack = left > whole + MINUTE;
  return (
    <div className="line" role="timer" aria-label="The clock of this step">
      {setBack ? (
        <span className="out">The clock of this device was set back since this began. Start it again, or judge by hand. </span>
      ) : left > 0 ? (
        <span className="large">{writeClock(left / 1000)}</span>
      ) : (
        <span className="large in">Time is up.</span>
      )}{' '}
      <Button variant="outline-light" onClick={() => void start()}>
        start again
      </Button>
    </div>
  );
}
