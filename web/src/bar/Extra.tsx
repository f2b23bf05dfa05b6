import { type Part, type PartDetail, widestOf } from '@obra/core/drawing';
import { write } from '@obra/core/quantity';
import { regionOf } from '@obra/core/stock';
import { EndView, endsShown } from './EndView';
import type { Mapping } from './mapping';
import { Metal, Outline } from './shapes';

/** Hidden edges of holes, in the half that is seen from outside. */
export function HiddenHoles({ part, map }: { readonly part: Part; readonly map: Mapping }) {
  const holes = part.features.filter((f) => f.side !== 'outside');
  return (
    <g stroke="var(--ink)" strokeWidth={0.8} strokeDasharray="5 3" fill="none">
      {holes.map((f) => (
        <path
          key={f.id}
          d={`M${map.x(f.near)} ${map.y(f.nearDiameter.nominal / 2)}L${map.x(f.far)} ${map.y(f.farDiameter.nominal / 2)}L${map.x(f.far)} ${map.axis}`}
        />
      ))}
    </g>
  );
}

/** What is cut beside the lathe, and knurls, on the half that is seen. */
export function DetailMarks({ part, map }: { readonly part: Part; readonly map: Mapping }) {
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={1}>
      {part.details.map((d) => (
        <Mark key={d.id} detail={d} part={part} map={map} />
      ))}
    </g>
  );
}

function Mark({ detail: d, part, map }: { readonly detail: PartDetail; readonly part: Part; readonly map: Mapping }) {
  const row = part.features.find((f) => f.id === d.on);
  if (row?.side !== 'outside') return null;
  const [x0, x1] = [Math.min(map.x(d.near), map.x(d.far)), Math.max(map.x(d.near), map.x(d.far))];
  const r = widestOf(row).nominal / 2;
  const px = (mm: number) => mm * map.scale;
  switch (d.kind) {
    case 'crossHole':
      return <circle cx={x0} cy={map.axis} r={px((d.diameter?.nominal ?? 0) / 2)} fill="var(--opening)" />;
    case 'keyway': {
      const h = px(d.width ?? 0);
      return <rect x={x0} width={x1 - x0} y={map.axis - h / 2} height={h} rx={h / 2} fill="var(--opening)" />;
    }
    case 'flat':
    case 'hexagon': {
      const h = px(d.kind === 'hexagon' ? (d.diameter?.nominal ?? 0) / Math.sqrt(3) / 2 : (d.width ?? 0) / 2);
      return (
        <path
          d={`M${x0} ${map.axis - h}H${x1}M${x0} ${map.axis - h}V${map.axis}M${x1} ${map.axis - h}V${map.axis}${d.kind === 'flat' ? `M${x0} ${map.axis - h}L${x1} ${map.axis}M${x1} ${map.axis - h}L${x0} ${map.axis}` : ''}`}
          strokeWidth={0.8}
        />
      );
    }
    case 'knurl': {
      const step = Math.max(4, px(d.pitch ?? 1));
      const lines = Array.from({ length: Math.max(1, Math.floor((x1 - x0) / step)) }, (_, i) => x0 + step * (i + 0.5));
      return <path d={lines.map((x) => `M${x.toFixed(1)} ${map.y(r)}V${map.axis}`).join('')} strokeWidth={0.4} />;
    }
    default:
      return null;
  }
}

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
