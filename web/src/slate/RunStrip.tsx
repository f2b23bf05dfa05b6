import type { Gauge } from '@obra/core/document';
import type { Part } from '@obra/core/drawing';
import { type Units, write } from '@obra/core/quantity';
import { coldReadings, kindOfSize, type Read, runToSize } from '@obra/core/sizing';

interface Props {
  readonly part: Part;
  readonly size: Part['characteristics'][number];
  readonly read: readonly Read[];
  readonly gauges: readonly Gauge[];
  readonly units: Units;
}

/** The run of a size to its limits, small: its readings and the limits alone. */
export function RunStrip({ part, size, read, gauges, units }: Props) {
  const kind = kindOfSize(part, size);
  const readings = coldReadings(read, part.material, gauges);
  const { limits } = size;
  if (!kind || !limits || !(limits.max > limits.min) || readings.length < 2) return null;
  const run = runToSize(limits, kind, readings, units);
  const share = (at: number) => `${(4 + 92 * at).toFixed(2)}%`;
  const said = readings.map((r) => write({ is: 'length', value: r, step: 0.001 }, units).text).join(', ');
  return (
    <svg className="run-strip" role="img" width="100%" height={14} aria-label={`run to size: ${said}`} data-testid="run-strip">
      <rect x={share(run.band[0])} width={`${(92 * (run.band[1] - run.band[0])).toFixed(2)}%`} y={1} height={12} />
      <line x1={share(0)} x2={share(1)} y1={7} y2={7} />
      {readings.map((r, i) => (
        <circle key={i} cx={share(run.at(r))} cy={7} r={i === readings.length - 1 ? 3.5 : 2.5} className={i === readings.length - 1 ? 'last' : ''} />
      ))}
    </svg>
  );
}
