import type { Part } from '@obra/core';
import type { Mapping } from './mapping';

export function Shoulders({ part, map }: { readonly part: Part; readonly map: Mapping }) {
  const rows = part.features.filter((f) => f.side === 'outside');
  return (
    <g stroke="var(--ink)" strokeWidth={1}>
      {rows.map((f) => (
        <g key={f.id}>
          {(f.chamferNear ?? 0) > 0 && (
            <line
              x1={map.x(f.near - (f.chamferNear ?? 0))}
              x2={map.x(f.near - (f.chamferNear ?? 0))}
              y1={map.y(f.nearDiameter.nominal / 2)}
              y2={map.axis}
              strokeWidth={0.7}
            />
          )}
          {f.far > -part.length + 1e-6 && (
            <line
              x1={map.x(f.far)}
              x2={map.x(f.far)}
              y1={map.y(Math.max(f.nearDiameter.nominal, rows.find((o) => Math.abs(o.near - f.far) < 1e-6)?.nearDiameter.nominal ?? 0) / 2)}
              y2={map.axis}
            />
          )}
        </g>
      ))}
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
          const outer = f.near === 0 || brass !== undefined ? f.near : f.near;
          const long = f.usable ?? Math.abs(f.near - f.far);
          const [x0, x1] = [map.x(view(outer)), map.x(view(outer - long))];
          const r = f.nearDiameter.nominal / 2;
          const root = r * 0.86;
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
              {[1, -1].map((half) => (
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
  const r = f.nearDiameter.nominal / 2;
  const [x0, x1] = [map.x(Math.min(f.near, f.far)), map.x(Math.max(f.near, f.far))];
  return <rect x={x0} width={x1 - x0} y={map.y(r) - 2} height={2 * r * map.scale + 4} fill="none" stroke="var(--blue)" strokeWidth={2} />;
}

export function Hits({
  part,
  map,
  height,
  onPick,
}: {
  readonly part: Part;
  readonly map: Mapping;
  readonly height: number;
  readonly onPick: (row: string) => void;
}) {
  return (
    <g>
      {part.features.map((f) => {
        const [x0, x1] = [map.x(Math.min(f.near, f.far)), map.x(Math.max(f.near, f.far))];
        const tall = f.side === 'outside' ? height : f.nearDiameter.nominal * map.scale;
        return (
          <rect
            key={f.id}
            x={x0}
            width={x1 - x0}
            y={f.side === 'outside' ? 0 : map.axis - tall / 2}
            height={tall}
            fill="transparent"
            role="button"
            aria-label={`row ${f.id}`}
            onClick={() => onPick(f.id)}
          />
        );
      })}
    </g>
  );
}
