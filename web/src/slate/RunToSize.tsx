import type { Gauge } from '@obra/core/document';
import type { Limits } from '@obra/core/drawing';
import { type Units, write, writeWithUnit } from '@obra/core/quantity';
import { type Advice, coldReadings, oddsSaid, type Read, runToSize } from '@obra/core/sizing';
import { useMemo } from 'react';

interface Props {
  readonly wanted: Limits;
  readonly advice: Advice;
  /** the first of them first */
  readonly read: readonly Read[];
  readonly material: string;
  /** what each was found to read over counts */
  readonly gauges: readonly Gauge[];
  readonly units: Units;
}

/** Deviations that half, and nine in ten, of what is foretold lie within. */
const [HALF, NINE_IN_TEN] = [0.674, 1.645];
/** A cut that lands less often is not the last one. */
const MEANT = 0.02;
/** Where the strip lies, px. */
const [LINE, FOOT, TALL] = [25, 49, 53];

/** Every reading of a size as a mark on the way to its limits, what is foretold of the next cut as a ghost, the next dial as an arrow. */
export function RunToSize({ wanted, advice, read, material, gauges, units }: Props) {
  const readings = useMemo(() => coldReadings(read, material, gauges), [read, material, gauges]);
  const last = readings.at(-1);
  if (last === undefined || !(wanted.max > wanted.min)) return null;
  const run = runToSize(wanted, advice.kind, readings, units);
  const x = (size: number) => `${(2 + 96 * run.at(size)).toFixed(2)}%`;
  const share = (at: number) => `${(2 + 96 * at).toFixed(2)}%`;
  const wide = (from: number, to: number) => `${(96 * Math.abs(run.at(to) - run.at(from))).toFixed(2)}%`;
  const left = (a: number, b: number) => (run.at(a) < run.at(b) ? x(a) : x(b));
  const said = (size: number) => write({ is: 'length', value: size, step: 0.001 }, units).text;
  const cuts = advice.dial !== undefined;
  const { value: expects, deviation = 0 } = advice.expects;
  const ghost = (deviations: number) => [expects - deviations * deviation, expects + deviations * deviation] as const;
  const [from, to] = [run.at(last), run.at(expects)];
  return (
    <div className="run" data-testid="run">
      <svg role="img" width="100%" height={TALL} aria-label={inWords(advice, wanted, readings, said)}>
        <rect className="limits" x={share(run.band[0])} width={`${(96 * (run.band[1] - run.band[0])).toFixed(2)}%`} y={LINE - 12} height={24} />
        <line className="way" x1={share(0)} x2={share(1)} y1={LINE} y2={LINE} />
        {run.decades.map(({ rest, at }) => (
          <g key={rest}>
            <line className="way" x1={share(at)} x2={share(at)} y1={LINE - 6} y2={LINE + 6} />
            <text x={share(at)} y={FOOT} className={at === 0 ? undefined : 'decade'} textAnchor={at === 0 ? 'start' : 'middle'}>
              {writeWithUnit({ is: 'length', value: rest, step: Math.min(rest, 0.01) }, units)}
            </text>
          </g>
        ))}
        <text className="in" x={share((run.band[0] + run.band[1]) / 2)} y={FOOT} textAnchor="middle">
          limits
        </text>
        {cuts &&
          [NINE_IN_TEN, HALF].map((deviations) => {
            const [a, b] = ghost(deviations);
            return (
              <rect
                key={deviations}
                className="ghost"
                x={left(a, b)}
                width={wide(a, b)}
                y={LINE - 9}
                height={18}
                data-ghost={deviations === HALF ? '50' : '90'}
              />
            );
          })}
        {readings.map((size, i) => (
          <circle
            key={i}
            className={i === readings.length - 1 ? 'reading last' : 'reading'}
            cx={x(size)}
            cy={LINE}
            r={i === readings.length - 1 ? 6 : 4.5}
          />
        ))}
        {cuts && Math.abs(to - from) > 0.02 && (
          <>
            <line className="dial" x1={x(last)} x2={x(expects)} y1={6} y2={6} />
            <svg x={x(expects)} y={6} overflow="visible">
              <path className="dial" d={to > from ? 'M0 0l-9 -5v10z' : 'M0 0l9 -5v10z'} />
            </svg>
          </>
        )}
      </svg>
      {cuts && advice.chanceIn > MEANT && (
        <div className="quiet size-16">
          {oddsSaid(advice.chanceIn)} that it lands
          {advice.chancePast > 1 / 2000 ? `; ${oddsSaid(advice.chancePast)} past` : ''}
          {advice.chanceShort > 0.02 ? `; ${oddsSaid(advice.chanceShort)} that another cut is wanted` : ''}
        </div>
      )}
    </div>
  );
}

function inWords({ dial, expects, stands }: Advice, wanted: Limits, readings: readonly number[], said: (size: number) => string): string {
  const next = dial
    ? `; the next cut is expected at ${said(expects.value)}, give or take ${said(2 * (expects.deviation ?? 0))}`
    : stands === 'in'
      ? '; in'
      : '';
  return `Run to size: read ${readings.map(said).join(', ')}; limits ${said(wanted.min)} to ${said(wanted.max)}${next}`;
}
