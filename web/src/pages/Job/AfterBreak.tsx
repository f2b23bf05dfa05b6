import { awayFor } from '@obra/core/bench';
import type { Entry } from '@obra/core/document';
import { type Units, writeMinutes, writeWithUnit } from '@obra/core/quantity';
import { useEffect, useState } from 'react';

interface Props {
  readonly live: readonly Entry[];
  readonly material: string;
  /** mm */
  readonly across: number;
  readonly units: Units;
}

const DAY = 24 * 60;

/** The time, looked at again each minute. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const tick = setInterval(() => setNow(Date.now()), 60_000);
    return () => clearInterval(tick);
  }, []);
  return now;
}

/** A size that was left alone for an hour or more: what the piece is now, and what comes before the next cut. */
export function AfterBreak({ live, material, across, units }: Props) {
  const now = useNow();
  const away = awayFor(live, material, across, now);
  if (!away) return null;
  const degrees = (value: number) => writeWithUnit({ is: 'temperature', value: Math.round(value) }, units);
  return (
    <div className="line out" role="status" data-testid="after-break">
      △ {away.minutes >= DAY ? 'More than a day' : writeMinutes(away.minutes)} since the last entry of this size.{' '}
      {away.warm
        ? `A piece that was warm may still be at ${degrees(away.warm[1])} dull, ${degrees(away.warm[0])} bright: feel it.`
        : 'The piece is cold by now.'}{' '}
      The edge has lost its zero: touch on, and measure before the next cut.
    </div>
  );
}
