import { type Part, threadOf, widestOf } from '@obra/core/drawing';
import { thingOf } from '@obra/core/ref';
import type { Mapping } from './mapping';
import { type PickCell, picked } from './picked';
import { rowNumber } from './rowNumber';
import { edgeToA, edgeToB } from '../words/places';

/** Edges of the outside as they are seen: where it steps, and where its chamfers begin. */
export function Shoulders({ part, map }: { readonly part: Part; readonly map: Mapping }) {
  const rows = part.features.filter((f) => f.side === 'outside');
  const line = (z: number, r: number) => `M${map.x(z).toFixed(2)} ${map.y(r).toFixed(2)}V${map.axis.toFixed(2)}`;
  const steps = rows.map((f, i) => {
    const next = rows[i + 1];
    return next ? line(f.far, Math.max(f.farDiameter.nominal, next.nearDiameter.nominal) / 2) : '';
  });
  const chamfers = rows.map((f) => {
    const [near, far] = [f.chamferNear ?? 0, f.chamferFar ?? 0];
    return (near > 0 ? line(f.near - near, f.nearDiameter.nominal / 2) : '') + (far > 0 ? line(f.far + far, f.farDiameter.nominal / 2) : '');
  });
  return (
    <g stroke="var(--ink)" fill="none">
      <path d={steps.join('')} strokeWidth={1} />
      <path d={chamfers.join('')} strokeWidth={0.7} />
    </g>
  );
}

/** The thin line of a thread at its root, on both sides; brass while it is being cut. */
export function Threads({
  part,
  map,
  view,
  brass,
}: {
  readonly part: Part;
  readonly map: Mapping;
  readonly view: (z: number) => number;
  readonly brass: string | undefined;
}) {
  return (
    <>
      {part.features
        .filter((f) => f.form === 'thread')
        .map((f) => {
          const long = Math.min(f.usable ?? Infinity, Math.abs(f.near - f.far));
          const inward = f.far < f.near ? -1 : 1;
          // a thread that ends the part is cut from that end
          const start = f.side === 'outside' && f.far <= -part.length + 1e-6 && f.near < 0 ? f.far : f.near;
          const [x0, x1] = [map.x(view(start)), map.x(view(start + (start === f.far ? -inward : inward) * long))];
          const r = f.nearDiameter.nominal / 2;
          const root = (threadOf(f)?.root ?? 2 * r) / 2;
          return (
            <g key={f.id}>
              {brass === f.id &&
                [1, -1].map((half) => (
                  <rect
                    key={half}
                    x={Math.min(x0, x1)}
                    width={Math.abs(x1 - x0)}
                    y={Math.min(map.y(half * r), map.y(half * root))}
                    height={Math.abs(map.y(r) - map.y(root))}
                    fill="var(--brass)"
                    data-role="removed"
                  />
                ))}
              {(f.side === 'outside' ? [1, -1] : [-1]).map((half) => (
                <line key={half} x1={x0} x2={x1} y1={map.y(half * root)} y2={map.y(half * root)} stroke="var(--ink)" strokeWidth={0.9} />
              ))}
            </g>
          );
        })}
    </>
  );
}

export function Chosen({ part, map, row }: { readonly part: Part; readonly map: Mapping; readonly row: string }) {
  const f = part.features.find((o) => o.id === row);
  if (!f) return null;
  const r = widestOf(f).nominal / 2;
  const [x0, x1] = [map.x(Math.min(f.near, f.far)), map.x(Math.max(f.near, f.far))];
  return <rect x={x0} width={x1 - x0} y={map.y(r) - 2} height={2 * r * map.scale + 4} fill="none" stroke="var(--blue)" strokeWidth={2} />;
}

export function Hits({ part, map, pick }: { readonly part: Part; readonly map: Mapping; readonly pick: PickCell }) {
  const corners = part.features
    .filter((f) => f.side === 'outside')
    .flatMap((f) => [
      { id: `${f.id}.near`, z: f.near, r: f.nearDiameter.nominal / 2, says: edgeToA },
      { id: `${f.id}.far`, z: f.far, r: f.farDiameter.nominal / 2, says: edgeToB },
    ]);
  return (
    <g>
      {part.features.map((f) => {
        const [x0, x1] = [map.x(Math.min(f.near, f.far)), map.x(Math.max(f.near, f.far))];
        // between the lines of sizes and of lengths, which answer for themselves
        const tall = f.side === 'outside' ? Math.max(12, 2 * map.scale * (widestOf(f).nominal / 2) + 8) : f.nearDiameter.nominal * map.scale;
        return (
          <path
            key={f.id}
            d={`M${x0.toFixed(1)} ${(map.axis - tall / 2).toFixed(1)}H${x1.toFixed(1)}v${tall.toFixed(1)}H${x0.toFixed(1)}z`}
            fill="transparent"
            {...picked(pick, `${f.id}.size`, `row ${rowNumber(part, f.id)}`)}
          />
        );
      })}
      {corners.map((c) => (
        <circle
          key={c.id}
          className="corner"
          transform={`translate(${map.x(c.z).toFixed(1)} ${map.y(c.r).toFixed(1)})`}
          r={6}
          {...picked(pick, c.id, `${c.says} of row ${rowNumber(part, thingOf(c.id))}`)}
        />
      ))}
    </g>
  );
}
