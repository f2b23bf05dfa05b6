import type { Shop } from '@obra/core/document';
import { type Exercise, played, setUp } from '@obra/core/practice';
import { type Units, writeMinutes, writeWithUnit } from '@obra/core/quantity';
import { useMemo } from 'react';
import { usePractised } from '../../data/practised';
import { dayOf } from '../../shell/dates';
import { RunToSize } from '../../slate';
import { counted } from './StandEnded';
import { metalLeft } from '../../words/found';

/** So many earlier attempts are looked at. */
const SEEN = 4;

/** Earlier attempts at an exercise as runs to size, the last first: done again on their own metal, deed by deed. */
export function Earlier({
  exercise,
  shop,
  lathe,
  units,
}: {
  readonly exercise: Exercise;
  readonly shop: Shop;
  readonly lathe: string;
  readonly units: Units;
}) {
  const { done } = usePractised();
  const runs = useMemo(
    () =>
      done
        .filter((d) => d.exercise === exercise.id && d.lathe === lathe && d.deeds !== undefined && exercise.only === undefined)
        .slice(1, SEEN + 1)
        .map((was) => ({ was, stand: played(setUp(exercise, was.number, shop), was.deeds ?? []) })),
    [done, exercise, lathe, shop],
  );
  if (runs.length === 0) return null;
  return (
    <section aria-label="Earlier attempts" data-testid="earlier">
      <h2 className="size-18">Earlier attempts</h2>
      {runs.map(({ was, stand }, i) => {
        const read = stand.entries().flatMap((e) => (e.kind === 'reading' ? [e] : []));
        const { size, landed } = stand.outcome();
        const { wanted, material, gauges } = stand.set;
        return (
          <div key={`${was.at} ${String(i)}`} className="mb-2">
            <div>
              number {was.number}, {dayOf(was.at)}:{' '}
              <span className={landed === 'in' ? 'in' : 'out'}>{landed === 'in' ? 'in' : landed === 'past' ? 'past' : metalLeft}</span>, the metal was{' '}
              {writeWithUnit({ is: 'length', value: size, step: 0.001 }, units)}; {counted(was.cuts, 'cut')}, {counted(was.readings, 'reading')},{' '}
              {writeMinutes(was.minutes)}
            </div>
            {read.length > 1 && (
              <div className="on-slate">
                <RunToSize wanted={wanted} advice={stand.advice()} read={read} material={material} gauges={gauges} units={units} />
              </div>
            )}
          </div>
        );
      })}
    </section>
  );
}
