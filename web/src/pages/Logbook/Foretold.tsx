import type { Calibrated, Pace } from '@obra/core/bench';
import { write, writeMinutes } from '@obra/core/quantity';

/** The picture: wide and high, and the room at its edges, px. */
const [WIDE, HIGH, ROOM] = [520, 190, 44];
const percent = (share: number): string => `${String(Math.round(100 * share))} %`;

/** What the advice said would come so often, and how often it came: on the line it is honest, under it too sure, over it too careful. */
export function Foretold({ foretold }: { readonly foretold: readonly Calibrated[] }) {
  const [first] = foretold;
  if (!first) return null;
  const x = (share: number) => ROOM + (share - 0.4) * ((WIDE - 2 * ROOM) / 0.6);
  const y = (share: number) => HIGH - ROOM - Math.max(0, share - 0.2) * ((HIGH - ROOM - 28) / 0.8);
  const at90 = foretold.find((f) => f.said === 0.9) ?? first;
  return (
    <section className="mt-4" aria-label="What was foretold, and what came">
      <h2>What was foretold, and what came</h2>
      <p className="quiet">
        Of {first.count} {first.count === 1 ? 'reading' : 'readings'} after an advised cut. On the line the advice is as sure as it says; under it,
        too sure.{first.count < 30 ? ' So few tell little yet: the bars show how little.' : ''}
      </p>
      <div className="d-flex gap-4 flex-wrap align-items-center">
        <svg
          width={WIDE}
          height={HIGH}
          role="img"
          aria-label={foretold
            .map((f) => `said ${percent(f.said)}, came ${percent(f.came)}, between ${percent(f.low)} and ${percent(f.high)}`)
            .join('; ')}
          className="foretold">
          <line className="way" x1={x(0.4)} y1={y(0.4)} x2={x(1)} y2={y(1)} />
          {foretold.map((f) => (
            <g key={f.said}>
              <line className="doubt" x1={x(f.said)} x2={x(f.said)} y1={y(f.low)} y2={y(f.high)} />
              <circle cx={x(f.said)} cy={y(f.came)} r={5} />
              <text x={x(f.said)} y={HIGH - 12} textAnchor="middle">
                {percent(f.said)}
              </text>
            </g>
          ))}
          <text x={WIDE} y={HIGH - 12} textAnchor="end">
            said
          </text>
          <text x={4} y={10}>
            came
          </text>
          {[0.25, 0.5, 0.75, 1].map((share) => (
            <text key={share} x={4} y={y(share) + 4}>
              {percent(share)}
            </text>
          ))}
        </svg>
        <p className="m-0">
          Said 9 in 10, came {Math.round(at90.came * at90.count)} of {at90.count}:{' '}
          {at90.high < 0.9
            ? 'too sure'
            : at90.low > 0.9
              ? 'more careful than it says'
              : at90.count < 30
                ? 'nothing speaks against it yet'
                : 'as sure as it says'}
          .
        </p>
      </div>
    </section>
  );
}

/** Minutes planned against taken, by the kind of work. */
export function Taken({ pace }: { readonly pace: readonly Pace[] }) {
  if (pace.length === 0) return null;
  return (
    <section className="mt-4" aria-label="Minutes planned and taken">
      <h2>Minutes planned and taken</h2>
      <p className="quiet">From the entry before a step to its end; a pause is no work.</p>
      <table className="plain">
        <thead>
          <tr>
            <th>kind of work</th>
            <th>steps</th>
            <th>planned</th>
            <th>taken</th>
            <th>taken for each planned</th>
          </tr>
        </thead>
        <tbody>
          {pace.map((p) => (
            <tr key={p.verb}>
              <td>{p.verb}</td>
              <td className="fig">{p.count}</td>
              <td className="fig">{writeMinutes(p.planned)}</td>
              <td className="fig">{writeMinutes(p.took)}</td>
              <td className="fig">{write({ is: 'ratio', value: p.took / p.planned, step: 0.01 }, 'mm').text}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
