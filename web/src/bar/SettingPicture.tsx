import { type Part } from '@obra/core/drawing';
import type { Setup } from '@obra/core/settings';
import { boundsOf, type Region, turnedRound } from '@obra/core/stock';
import { memo } from 'react';

/** A setting, small and true: the stock as it leaves it, what it took off in brass, and what holds it. */
export const SettingPicture = memo(function SettingPicture({ setup, part }: { readonly setup: Setup; readonly part: Part }) {
  const [width, height] = [150, 64];
  const turned = setup.end === 'left';
  const view = (z: number) => (turned ? turnedRound(z, part.length) : z);
  const { left, right, radius } = boundsOf(setup.before);
  const [from, to] = [Math.min(view(left), view(right)), Math.max(view(left), view(right))];
  const jaws = setup.gripped.map(view);
  const [jawFrom, jawTo] = [Math.min(...jaws), Math.max(...jaws)];
  const holds = !setup.carried && setup.onArbor !== true;
  const low = Math.min(from, holds ? jawFrom : from);
  const tail = setup.support.some((s) => s.kind === 'centre') || setup.carried === 'centres';
  const scale = Math.min(
    (width - (tail ? 30 : 12) - (setup.carried === 'centres' ? 14 : 4)) / Math.max(1, to - low),
    (height - 18) / (2 * Math.max(1, radius)),
  );
  const axis = height / 2;
  const x = (z: number) => width - (tail ? 24 : 8) - (to - z) * scale;
  const y = (r: number) => axis - r * scale;
  const after = setup.steps.at(-1)?.after ?? setup.before;
  const jawTop = y(setup.gripDiameter / 2);
  const steady = setup.support.find((s) => s.kind === 'steady');
  return (
    <svg width={width} height={height} viewBox={`0 0 ${String(width)} ${String(height)}`} aria-hidden="true">
      {setup.steps.map((s) => (
        <Section key={s.id} region={s.removes} x={x} y={y} view={view} fill="var(--brass)" />
      ))}
      <Section region={after} x={x} y={y} view={view} fill="var(--steel)" line />
      {setup.carried === 'plate' && <rect x={x(from) - 8} y={4} width={7} height={height - 8} className="held" />}
      {setup.onArbor === true && (
        <rect
          x={Math.max(1, x(from) - 12)}
          y={y(setup.gripDiameter / 2)}
          width={x(to) - x(from) + 12}
          height={setup.gripDiameter * scale}
          className="held"
        />
      )}
      {holds && (
        <>
          <rect x={x(jawFrom)} y={Math.max(1, jawTop - 9)} width={Math.max(4, (jawTo - jawFrom) * scale)} height={8} className="held" />
          <rect
            x={x(jawFrom)}
            y={Math.min(height - 9, 2 * axis - jawTop + 1)}
            width={Math.max(4, (jawTo - jawFrom) * scale)}
            height={8}
            className="held"
          />
        </>
      )}
      {tail && <path d={`M${String(x(to))} ${String(axis)}l12 -6h8v12h-8z`} className="held" />}
      {setup.carried === 'centres' && <path d={`M${String(x(from))} ${String(axis)}l-10 -6v12z`} className="held" />}
      {steady && <rect x={x(view(steady.at)) - 3} y={6} width={6} height={height - 12} fill="none" className="held" />}
      <line x1={0} x2={width} y1={axis} y2={axis} stroke="var(--ink)" strokeWidth={0.7} strokeDasharray="7 2 2 2" />
    </svg>
  );
});

interface SectionProps {
  readonly region: Region;
  readonly x: (z: number) => number;
  readonly y: (r: number) => number;
  readonly view: (z: number) => number;
  readonly fill: string;
  readonly line?: boolean;
}

function Section({ region, x, y, view, fill, line = false }: SectionProps) {
  return (
    <g fill={fill} stroke={line ? 'var(--ink)' : 'none'} strokeWidth={0.8}>
      {region.map((rings, i) => (
        <g key={i}>
          {([1, -1] as const).map((half) => (
            <polygon key={half} points={points(rings[0], half)} />
          ))}
        </g>
      ))}
    </g>
  );
  function points(ring: Float64Array | undefined, half: 1 | -1): string {
    const out: string[] = [];
    for (let i = 0; ring && i < ring.length; i += 2) out.push(`${x(view(ring[i] ?? 0)).toFixed(1)},${y(half * (ring[i + 1] ?? 0)).toFixed(1)}`);
    return out.join(' ');
  }
}
