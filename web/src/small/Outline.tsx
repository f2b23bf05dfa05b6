import type { Region } from '@obra/core/stock';
import { memo } from 'react';

/* Small sections drawn from what is known already: nothing of what reads a drawing is needed for them. */

/** Where a place of the part stands, px. */
export interface Places {
  readonly x: (u: number) => number;
  readonly y: (r: number) => number;
}

/** A bar of which nothing is known. */
const UNKNOWN = [[-40, 0, 0, 0, 0, 8, -40, 8]];

/** A part, small, from an outline that was kept: its rings z, r, z, r ... in mm. */
export const SmallOutline = memo(function SmallOutline({
  outline,
  long,
  radius,
  width = 120,
  height = 40,
}: {
  readonly outline: readonly (readonly number[])[];
  readonly long: number;
  readonly radius: number;
  readonly width?: number;
  readonly height?: number;
}) {
  const region = (outline.length > 0 ? outline : UNKNOWN).map((ring) => [Float64Array.from(ring)]);
  return <SmallSection region={region} known={outline.length > 0} long={long || 40} radius={radius} width={width} height={height} />;
});

interface SmallSectionProps {
  readonly region: Region;
  readonly known: boolean;
  readonly long: number;
  readonly radius: number;
  readonly width: number;
  readonly height: number;
}

export function SmallSection({ region, known, long, radius, width, height }: SmallSectionProps) {
  const scale = Math.min((width - 8) / long, (height - 6) / (2 * radius));
  const left = (width - long * scale) / 2;
  const map: Places = { x: (u) => left + (u + long) * scale, y: (r) => height / 2 - r * scale };
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <g stroke="var(--ink)" strokeWidth={1}>
        <StampMetal region={region} map={map} view={(z) => z} fill={known ? 'var(--steel)' : 'var(--holding-deep)'} />
      </g>
      <line x1={2} x2={width - 2} y1={height / 2} y2={height / 2} stroke="var(--ink)" strokeWidth={0.7} strokeDasharray="7 2 2 2" />
    </svg>
  );
}

/** A region in both halves of a section. */
export function StampMetal({
  region,
  map,
  view,
  fill,
}: {
  readonly region: Region;
  readonly map: Places;
  readonly view: (z: number) => number;
  readonly fill: string;
}) {
  return (
    <>
      {region.map((rings, i) => (
        <g key={i} fill={fill}>
          <polygon points={points(rings[0], map, view, 1)} />
          <polygon points={points(rings[0], map, view, -1)} />
        </g>
      ))}
    </>
  );
}

function points(ring: Float64Array | undefined, map: Places, view: (z: number) => number, half: 1 | -1): string {
  const out: string[] = [];
  for (let i = 0; ring && i < ring.length; i += 2) out.push(`${map.x(view(ring[i] ?? 0)).toFixed(1)},${map.y(half * (ring[i + 1] ?? 0)).toFixed(1)}`);
  return out.join(' ');
}
