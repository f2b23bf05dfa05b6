import { type EndShape, endView, type Part, widestOf } from '@obra/core/drawing';
import { write } from '@obra/core/quantity';
import { memo } from 'react';
import type { Mapping } from './mapping';

interface Props {
  readonly part: Part;
  readonly end: 'right' | 'left';
  readonly map: Mapping;
  readonly x: number;
  /** half of its room, px; as large as the section where there is no limit */
  readonly room?: number;
}

/** An end as it is seen from its side: flats, keyways and holes where they are. */
export const EndView = memo(function EndView({ part, end, map, x, room = Infinity }: Props) {
  const radius = Math.max(0.5, ...part.features.filter((f) => f.side === 'outside').map((f) => widestOf(f).nominal / 2));
  const scale = Math.min(map.scale, room / radius);
  const factor = scale / map.scale;
  const px = ([a, b]: readonly [number, number]): string => `${(x + a * scale).toFixed(1)} ${(map.axis - b * scale).toFixed(1)}`;
  const half = radius * scale + 8;
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={1.4} aria-hidden="true" data-end-view={end}>
      {endView(part, end).map((shape, i) => (
        <Shape key={i} shape={shape} filled={i === 0} px={px} at={{ x, y: map.axis, scale }} />
      ))}
      <path d={`M${x - half} ${map.axis}h${2 * half}M${x} ${map.axis - half}v${2 * half}`} strokeWidth={0.6} strokeDasharray="10 2 2 2" />
      {room < Infinity && (
        <text className="note" x={x} y={map.axis + half + 12} textAnchor="middle" stroke="none" fill="var(--quiet)">
          from {end === 'right' ? 'A' : 'B'}
          {factor < 0.99 ? `, ${write({ is: 'ratio', value: factor, step: 0.01 }, 'mm').text} ×` : ''}
        </text>
      )}
    </g>
  );
});

interface ShapeProps {
  readonly shape: EndShape;
  /** the outline that all else lies in */
  readonly filled: boolean;
  readonly px: (point: readonly [number, number]) => string;
  readonly at: { readonly x: number; readonly y: number; readonly scale: number };
}

function Shape({ shape, filled, px, at }: ShapeProps) {
  if ('points' in shape) {
    const d = `M${shape.points.map(px).join('L')}${shape.closed ? 'Z' : ''}`;
    return shape.kind === 'hidden' ? (
      <path d={d} strokeWidth={0.8} strokeDasharray="5 3" />
    ) : (
      <path d={d} fill={shape.closed ? 'var(--steel)' : 'none'} {...(filled && { strokeWidth: 1.6 })} />
    );
  }
  const [cx, cy, r] = [at.x + shape.x * at.scale, at.y - shape.y * at.scale, shape.radius * at.scale];
  switch (shape.kind) {
    case 'hole':
      return <circle cx={cx} cy={cy} r={r} fill="var(--opening)" strokeWidth={1} />;
    case 'ring':
      return <circle cx={cx} cy={cy} r={r} strokeWidth={0.7} />;
    case 'centres':
      return <circle cx={cx} cy={cy} r={r} strokeWidth={0.7} strokeDasharray="8 2 2 2" />;
    case 'thread':
      // three quarters of a thin circle round its hole, as on a drawing
      return (
        <circle cx={cx} cy={cy} r={r} strokeWidth={0.7} pathLength={4} strokeDasharray="3 1" transform={`rotate(-80 ${String(cx)} ${String(cy)})`} />
      );
  }
}
