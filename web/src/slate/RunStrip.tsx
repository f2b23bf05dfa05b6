import type { Part } from '@obra/core/drawing';
import { type Units, write } from '@obra/core/quantity';
import { runToSize, type SizedKind } from '@obra/core/sizing';
import { coldOf, type Read } from './coldOf';

interface Props {
  readonly part: Part;
  readonly size: Part['characteristics'][number];
  readonly read: readonly Read[];
  readonly units: Units;
}

/** Which way a size comes to its limits; undefined for what is not brought there by cutting. */
function kindOf(part: Part, { is, of }: Props['size']): SizedKind | undefined {
  if (is === 'length') return 'length';
  if (is !== 'diameter') return undefined;
  return part.features.some((f) => f.id === of && f.side !== 'outside') ? 'bore' : 'outside';
}

/** The run of a size to its limits, small: its readings and the limits alone. */
export function RunStrip({ part, size, read, units }: Props) {
  const kind = kindOf(part, size);
  const readings = coldOf(read, part.material);
  const { limits } = size;
  if (!kind || !limits || !(limits.max > limits.min) || readings.length < 2) return null;
  const run = runToSize(limits, kind, kind === 'bore' ? Math.min(...readings) : Math.max(...readings));
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
