import type { Part } from '@obra/core/drawing';
import { rectangle, type Region, regionOf, turnedRound } from '@obra/core/stock';
import { memo } from 'react';
import { type Places, SmallSection, StampMetal } from './Outline';

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
