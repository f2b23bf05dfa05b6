import type { Region } from '@obra/core/stock';
import type { Mapping } from './mapping';

interface Props {
  readonly map: Mapping;
  /** part z to view coordinate */
  readonly view: (z: number) => number;
}

/** Path data of a region; mirrored below the axis when `half` is -1. */
function pathOf(region: Region, { map, view }: Props, half: 1 | -1): string {
  return region
    .flatMap((rings) =>
      rings.map((ring) => {
        let d = '';
        for (let i = 0; i < ring.length; i += 2) {
          d += `${i === 0 ? 'M' : 'L'}${map.x(view(ring[i] ?? 0)).toFixed(2)} ${map.y(half * Math.max(0, ring[i + 1] ?? 0)).toFixed(2)}`;
        }
        return `${d}Z`;
      }),
    )
    .join('');
}

/** Stock: steel above the centre line as seen, below it cut and hatched. */
export function Metal({
  region,
  seen,
  only,
  ...at
}: Props & {
  readonly region: Region;
  /** what the upper half shows */ readonly seen?: Region;
  /** the section alone, above the line */ readonly only?: 'cut';
}) {
  if (only === 'cut')
    return (
      <g>
        <path d={pathOf(region, at, 1)} fill="var(--steel)" fillRule="evenodd" />
        <path d={pathOf(region, at, 1)} fill="url(#hatch)" fillRule="evenodd" />
      </g>
    );
  return (
    <g>
      <path d={pathOf(seen ?? region, at, 1)} fill="var(--steel)" fillRule="evenodd" />
      <path d={pathOf(region, at, -1)} fill="var(--steel)" fillRule="evenodd" />
      <path d={pathOf(region, at, -1)} fill="url(#hatch)" fillRule="evenodd" />
    </g>
  );
}

/** What the chosen step removes. */
export function Removed({ region, ...at }: Props & { readonly region: Region }) {
  return (
    <g fill="var(--brass)" stroke="var(--brass)" strokeWidth={1.6} fillRule="evenodd" data-role="removed">
      <path d={pathOf(region, at, 1)} />
      <path d={pathOf(region, at, -1)} />
    </g>
  );
}

/** Path data of a region's edge without what lies on the centre line. */
function edgeOf(region: Region, { map, view }: Props, half: 1 | -1): string {
  return region
    .flatMap((rings) =>
      rings.flatMap((ring) =>
        Array.from({ length: ring.length / 2 }, (_, i) => {
          const [z0, r0] = [ring[2 * i] ?? 0, ring[2 * i + 1] ?? 0];
          const j = (2 * i + 2) % ring.length;
          const [z1, r1] = [ring[j] ?? 0, ring[j + 1] ?? 0];
          return r0 <= 0 && r1 <= 0
            ? ''
            : `M${map.x(view(z0)).toFixed(2)} ${map.y(half * r0).toFixed(2)}L${map.x(view(z1)).toFixed(2)} ${map.y(half * r1).toFixed(2)}`;
        }),
      ),
    )
    .join('');
}

export function Outline({
  region,
  seen,
  strong,
  dashed,
  half,
  ...at
}: Props & { readonly region: Region; readonly seen?: Region; readonly strong?: boolean; readonly dashed?: boolean; readonly half?: 1 }) {
  const style = {
    fill: 'none',
    stroke: 'var(--ink)',
    strokeWidth: strong ? 2.2 : 1,
    strokeLinecap: 'square' as const,
    ...(dashed && { strokeDasharray: '3 3' }),
    vectorEffect: 'non-scaling-stroke' as const,
  };
  return (
    <g>
      <path d={edgeOf(seen ?? region, at, 1)} {...style} />
      {half === undefined && <path d={edgeOf(region, at, -1)} {...style} />}
    </g>
  );
}

/** What is finished: a heavy ink line along the edges that lie on the finished contour. */
export function Finished({ edges, map, view }: Props & { readonly edges: readonly (readonly [number, number, number, number])[] }) {
  const d = (half: 1 | -1) =>
    edges
      .map(
        ([z0, r0, z1, r1]) =>
          `M${map.x(view(z0)).toFixed(2)} ${map.y(half * r0).toFixed(2)}L${map.x(view(z1)).toFixed(2)} ${map.y(half * r1).toFixed(2)}`,
      )
      .join('');
  return (
    <path
      d={d(1) + d(-1)}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={2.6}
      strokeLinecap="square"
      vectorEffect="non-scaling-stroke"
      data-role="finished"
    />
  );
}

/** The stepped jaws of a chuck, or the plain nose of a collet, over what is gripped (view coordinates). */
export function Jaws({
  map,
  from,
  to,
  radius,
  room,
  collet,
}: {
  readonly map: Mapping;
  readonly from: number;
  readonly to: number;
  readonly radius: number;
  /** px free above and below what is gripped */
  readonly room: number;
  readonly collet: boolean;
}) {
  const [left, right] = [map.x(from), map.x(to)];
  const wide = Math.max(right - left, 14);
  const step = collet ? 0 : wide / 4;
  const tall = Math.max(8, Math.min(collet ? 16 : 30, room));
  const low = Math.min(12, tall * 0.4);
  const half = (sign: 1 | -1) => {
    const y = map.y(sign * radius);
    const up = (px: number) => y - sign * px;
    return `M${right - wide} ${y}L${right} ${y}L${right} ${up(collet ? tall : low)}L${right - step} ${up(collet ? tall : low)}L${right - step} ${up(tall * 0.7)}L${right - 2 * step} ${up(tall * 0.7)}L${right - 2 * step} ${up(tall)}L${right - wide} ${up(tall)}Z`;
  };
  return (
    <path d={half(1) + half(-1)} fill="var(--holding)" stroke="var(--ink)" strokeWidth={1.2} vectorEffect="non-scaling-stroke" data-role="jaws" />
  );
}

/** The tailstock centre with its point at u. */
export function Centre({ map, at }: { readonly map: Mapping; readonly at: number }) {
  const x = map.x(at) - 5;
  const [h, l] = [26, 40];
  return (
    <path
      d={`M${x} ${map.axis}L${x + l} ${map.axis - h}L${x + l + 90} ${map.axis - h}L${x + l + 90} ${map.axis + h}L${x + l} ${map.axis + h}Z`}
      fill="var(--holding)"
      stroke="var(--ink)"
      strokeWidth={1.2}
      vectorEffect="non-scaling-stroke"
      data-role="centre"
    />
  );
}

/** Two wavy lines where plain length is left out. */
/** An arbor that fills the bore, its shank and shoulder at the headstock. */
export function Arbor({ map, from, to, radius }: { readonly map: Mapping; readonly from: number; readonly to: number; readonly radius: number }) {
  const [left, right] = [map.x(from), map.x(to)];
  const [top, foot] = [map.y(radius), map.y(-radius)];
  return (
    <path
      d={`M${left - 60} ${top - 8}H${left - 8}V${top}H${right}V${foot}H${left - 8}V${foot + 8}H${left - 60}Z`}
      fill="var(--holding)"
      stroke="var(--ink)"
      strokeWidth={1.2}
      data-role="arbor"
    />
  );
}

/** Between centres: the headstock's centre in the driven end, and the dog that takes it round. */
export function Driven({ map, from, to, radius }: { readonly map: Mapping; readonly from: number; readonly to: number; readonly radius: number }) {
  const [left, right] = [map.x(from), map.x(to)];
  const [top, foot] = [map.y(radius), map.y(-radius)];
  const wide = Math.max(10, Math.min(right - left, 22));
  return (
    <g fill="var(--holding)" stroke="var(--ink)" strokeWidth={1.2} data-role="driven">
      <path d={`M${left + 5} ${map.axis}L${left - 30} ${map.axis - 22}H${left - 90}V${map.axis + 22}H${left - 30}Z`} />
      <path d={`M${left + 2} ${top}h${wide}v-9h${-wide - 26}v9h8v-3h18zM${left + 2} ${foot}h${wide}v9h${-wide}z`} />
    </g>
  );
}

/** A faceplate behind the work. */
export function Plate({ map, at, radius }: { readonly map: Mapping; readonly at: number; readonly radius: number }) {
  const x = map.x(at);
  const half = map.axis - map.y(radius) + 16;
  return (
    <path
      d={`M${x - 16} ${map.axis - half}H${x}V${map.axis + half}H${x - 16}V${map.axis + 26}H${x - 60}V${map.axis - 26}H${x - 16}Z`}
      fill="var(--holding)"
      stroke="var(--ink)"
      strokeWidth={1.2}
      data-role="faceplate"
    />
  );
}

/** A steady with its three fingers, or a follow rest with its two, seen from above: what touches the work on the far side and at the foot. */
export function Rest({ map, at, radius, steady }: { readonly map: Mapping; readonly at: number; readonly radius: number; readonly steady: boolean }) {
  const x = map.x(at);
  const [top, foot] = [map.y(radius), map.y(-radius)];
  const finger = (y: number, away: number) => `M${x - 5} ${y}h10v${14 * away}h6v${12 * away}h-22v${-12 * away}h6z`;
  return (
    <g fill="var(--holding)" stroke="var(--holding-line)" data-role={steady ? 'steady' : 'follow-rest'}>
      <path d={finger(top, -1)} />
      {steady && <path d={finger(foot, 1)} />}
    </g>
  );
}

export function BreakLine({ map, at, radius }: { readonly map: Mapping; readonly at: number; readonly radius: number }) {
  const x = map.x(at);
  const [top, bottom] = [map.y(radius) - 4, map.y(-radius) + 4];
  const third = (bottom - top) / 3;
  const wave = (dx: number) => `M${x + dx} ${top}c-5 ${third} 5 ${third} 0 ${1.5 * third}s5 ${third} 0 ${1.5 * third}`;
  return (
    <g fill="none">
      <path d={`${wave(-4)}L${x + 4} ${bottom}c5 ${-third} -5 ${-third} 0 ${-1.5 * third}s-5 ${-third} 0 ${-1.5 * third}Z`} fill="var(--opening)" />
      <path d={wave(-4) + wave(4)} stroke="var(--ink)" strokeWidth={1} />
    </g>
  );
}

export function Balloon({ x, y, letter }: { readonly x: number; readonly y: number; readonly letter: string }) {
  return (
    <g className="balloon">
      <circle cx={x} cy={y} r={11} fill="var(--opening)" stroke="var(--ink)" strokeWidth={1.6} />
      <text x={x} y={y + 4.5} textAnchor="middle">
        {letter}
      </text>
    </g>
  );
}
