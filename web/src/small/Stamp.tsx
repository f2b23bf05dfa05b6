import type { Part } from '@obra/core/drawing';
import { rectangle, type Region, regionOf, turnedRound } from '@obra/core/stock';
import { memo } from 'react';

/** Where a place of the part stands, px. */
interface Places {
  readonly x: (u: number) => number;
  readonly y: (r: number) => number;
}

/** A small true section of the stock after a step, for the sheet. */
export const Stamp = memo(function Stamp({
  region,
  removed,
  part,
  turned,
}: {
  readonly region: Region;
  readonly removed: Region;
  readonly part: Part;
  readonly turned: boolean;
}) {
  const [width, height] = [84, 32];
  const radius = Math.max(...part.features.map((f) => f.nearDiameter.nominal / 2), 1) * 1.15;
  const scale = Math.min((width - 8) / (part.length * 1.12), (height - 4) / (2 * radius));
  const view = (z: number) => (turned ? turnedRound(z, part.length) : z);
  const map: Places = { x: (u) => width - 6 + u * scale, y: (r) => height / 2 - r * scale };
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <g style={{ clipPath: `inset(0)` }}>
        <StampMetal region={region} map={map} view={view} fill="var(--steel)" />
        <StampMetal region={removed} map={map} view={view} fill="var(--brass)" />
      </g>
      <line x1={0} x2={width} y1={height / 2} y2={height / 2} stroke="var(--ink)" strokeWidth={0.7} strokeDasharray="7 2 2 2" />
    </svg>
  );
});

function StampMetal({
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

/** The same from an outline that was kept: its rings z, r, z, r ... in mm. */
export const SmallOutline = memo(function SmallOutline({
  outline,
  long,
  radius,
}: {
  readonly outline: readonly (readonly number[])[];
  readonly long: number;
  readonly radius: number;
}) {
  const region = outline.length > 0 ? outline.map((ring) => [Float64Array.from(ring)]) : rectangle(-40, 0, 0, 8);
  return <SmallSection region={region} known={outline.length > 0} long={long || 40} radius={radius} width={120} height={40} />;
});

/** The finished part, small, for lists. */
export const SmallPart = memo(function SmallPart({
  part,
  width = 120,
  height = 40,
}: {
  readonly part: Part;
  readonly width?: number;
  readonly height?: number;
}) {
  const region = part.contour.length > 0 ? regionOf(part.contour) : rectangle(-40, 0, 0, 8);
  const radius = Math.max(...part.features.map((f) => f.nearDiameter.nominal / 2), 8);
  const known = part.contour.length > 0;
  return <SmallSection {...{ region, known, radius, width, height }} long={part.length || 40} />;
});

interface SmallSectionProps {
  readonly region: Region;
  readonly known: boolean;
  readonly long: number;
  readonly radius: number;
  readonly width: number;
  readonly height: number;
}

function SmallSection({ region, known, long, radius, width, height }: SmallSectionProps) {
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
