import { type Part, type PartDetail, widestOf } from '@obra/core/drawing';
import type { Mapping } from './mapping';

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
