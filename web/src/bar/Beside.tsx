import { type Part, widestOf } from '@obra/core/drawing';
import { write } from '@obra/core/quantity';
import { regionOf } from '@obra/core/stock';
import { EndView } from './EndView';
import { endsShown } from './ends';
import type { Mapping } from './mapping';
import { Metal, Outline } from './shapes';

/** Short wide parts: the half section larger on the left, the end as it is seen from A on the right. */
export function ShortPart({
  part,
  map,
  width,
  height,
}: {
  readonly part: Part;
  readonly map: Mapping;
  readonly width: number;
  readonly height: number;
}) {
  const rows = part.features.filter((f) => f.side === 'outside');
  const outer = Math.max(...rows.map((f) => widestOf(f).nominal / 2));
  const inner = Math.min(
    outer,
    ...part.features.filter((f) => f.side !== 'outside').map((f) => Math.min(f.nearDiameter.nominal, f.farDiameter.nominal) / 2),
  );
  const wall = inner < outer ? outer - inner : outer;
  const scale = Math.min(130 / part.length, (height - 90) / wall);
  const centre = width * 0.2;
  const local: Mapping = {
    scale,
    breaks: [],
    axis: 44 + scale * outer,
    x: (z) => centre + (z + part.length / 2) * scale,
    y: (r) => 44 + scale * (outer - r),
  };
  const region = regionOf(part.contour);
  const view = (z: number) => z;
  return (
    <g aria-hidden="true">
      <Metal region={region} map={local} view={view} only="cut" />
      <Outline region={region} map={local} view={view} strong half={1} />
      <text className="note" x={centre} y={Math.min(height - 12, 62 + scale * wall)} textAnchor="middle">
        section, {write({ is: 'ratio', value: scale / map.scale, step: 0.1 }, 'mm').text} × the view
      </text>
      <EndView part={part} end={endsShown(part)[0] ?? 'right'} map={map} x={width * 0.8} />
    </g>
  );
}

/** Up to two small places drawn larger in the spare corners, each with its ring and letter on the part. */
export function Ringed({
  part,
  map,
  width,
  taken,
}: {
  readonly part: Part;
  readonly map: Mapping;
  readonly width: number;
  /** sides where an end view stands */
  readonly taken: readonly ('right' | 'left')[];
}) {
  const corners = [...(taken.includes('right') ? [] : [width - 52]), ...(taken.includes('left') ? [] : [52])];
  const places = smallPlaces(part, map).slice(0, corners.length);
  const region = regionOf(part.contour);
  return (
    <g>
      {places.map((p, i) => {
        const letter = ['X', 'Y'][i] ?? '';
        // of two the one further to the left at the left
        const other = places[1 - i];
        const cx = (other && other.z > p.z ? corners.at(-1) : corners[0]) ?? width - 52;
        const [cy, big] = [62, 42];
        const near = Math.max(8, p.reach * map.scale * 1.3);
        const k = Math.min(14, big / Math.max(p.reach * 1.2, 1e-6) / map.scale);
        const local: Mapping = {
          scale: map.scale * k,
          breaks: [],
          axis: cy,
          x: (z) => cx + (z - p.z) * map.scale * k,
          y: (r) => cy - (r - p.r) * map.scale * k,
        };
        const clip = `ringed-${letter}`;
        return (
          <g key={letter} aria-hidden="true">
            <circle cx={map.x(p.z)} cy={map.y(p.r)} r={near} fill="none" stroke="var(--blue)" strokeWidth={0.9} />
            <text className="note" x={map.x(p.z) + near + 2} y={map.y(p.r) - near + 2}>
              {letter}
            </text>
            <clipPath id={clip}>
              <circle cx={cx} cy={cy} r={big} />
            </clipPath>
            <circle cx={cx} cy={cy} r={big} fill="var(--opening)" stroke="var(--blue)" strokeWidth={0.9} />
            <g clipPath={`url(#${clip})`}>
              <Metal region={region} map={local} view={(z) => z} only="cut" />
              <Outline region={region} map={local} view={(z) => z} half={1} strong />
            </g>
            <text className="note" x={cx} y={cy + big + 14} textAnchor="middle">
              {letter}, {write({ is: 'ratio', value: k, step: 0.1 }, 'mm').text} ×
            </text>
          </g>
        );
      })}
    </g>
  );
}

interface Small {
  readonly z: number;
  readonly r: number;
  /** half of what is to be seen, mm */
  readonly reach: number;
}

/** Undercuts and narrow grooves that the picture shows in under 12 px; the smallest two that lie apart. */
function smallPlaces(part: Part, map: Mapping): readonly Small[] {
  const found: Small[] = [];
  for (const f of part.features.filter((o) => o.side === 'outside'))
    for (const end of ['near', 'far'] as const) {
      const edge = end === 'near' ? f.edgeNear : f.edgeFar;
      const wide = edge.kind === 'shoulderUndercut' ? edge.undercut.width : edge.kind === 'radius' ? 2 * edge.radius : undefined;
      if (wide === undefined || wide * map.scale > 12) continue;
      found.push({ z: end === 'near' ? f.near : f.far, r: (end === 'near' ? f.nearDiameter : f.farDiameter).nominal / 2, reach: wide });
    }
  for (const d of part.details)
    if ((d.kind === 'groove' || d.kind === 'ringGroove') && (d.width ?? 0) * map.scale <= 12) {
      const row = part.features.find((f) => f.id === d.on);
      if (row?.side === 'outside')
        found.push({ z: (d.near + d.far) / 2, r: row.nearDiameter.nominal / 2, reach: Math.max(d.width ?? 0, d.depth ?? 0) });
    }
  const sorted = found.toSorted((a, b) => a.reach - b.reach);
  const [first] = sorted;
  const second = first && sorted.find((s) => Math.abs(s.z - first.z) * map.scale > 60);
  return [first, second].filter((s) => s !== undefined);
}
