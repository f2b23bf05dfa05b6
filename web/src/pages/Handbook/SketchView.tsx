import type { Point, Shape, Sketch, Surface } from '@obra/core/handbook';
import type { Units } from '@obra/core/quantity';
import { useId, useMemo } from 'react';
import { type AngleShape, type DimShape, fitted, HIGH, lineOf, type Map, MARGIN, placeOf, said } from './fitting';

/** A figure to scale: the same across as up, whatever the room. */
export function SketchView({ sketch, units }: { readonly sketch: Sketch; readonly units: Units }) {
  const id = useId();
  const { map, scale, box } = useMemo(() => fitted(sketch.shapes, units), [sketch, units]);
  const height = Math.min(HIGH, box.bottom - box.top + 2 * MARGIN);
  return (
    <svg
      className="sketch"
      viewBox={`${String(box.left - MARGIN)} ${String(box.top - MARGIN)} ${String(box.right - box.left + 2 * MARGIN)} ${String(height)}`}
      style={{ maxWidth: box.right - box.left + 2 * MARGIN, aspectRatio: `${String(box.right - box.left + 2 * MARGIN)} / ${String(height)}` }}
      role="img"
      aria-label={sketch.about}>
      <defs>
        {(
          [
            ['metal', 45, 'var(--holding-line)', 7],
            ['mate', -45, 'var(--holding-line)', 7],
            ['hole', 45, 'var(--verdigris)', 5],
            ['shaft', -45, 'var(--verdigris)', 5],
          ] as const
        ).map(([name, turn, stroke, gap]) => (
          <pattern key={name} id={`${id}${name}`} width={gap} height={gap} patternUnits="userSpaceOnUse" patternTransform={`rotate(${String(turn)})`}>
            <line x1="0" y1="0" x2="0" y2={gap} stroke={stroke} strokeWidth="0.9" />
          </pattern>
        ))}
      </defs>
      {sketch.shapes.map((shape, i) => (
        <Drawn key={i} shape={shape} map={map} scale={scale} id={id} units={units} />
      ))}
    </svg>
  );
}

const fillOf = (as: Surface | 'line' | 'chain', id: string): string =>
  ({
    metal: `url(#${id}metal)`,
    mate: `url(#${id}mate)`,
    'hole zone': `url(#${id}hole)`,
    'shaft zone': `url(#${id}shaft)`,
    cut: 'var(--brass)',
    gauge: 'var(--steel)',
    line: 'none',
    chain: 'none',
  })[as];

const strokeOf = (as: Surface | 'line' | 'chain') => (as === 'hole zone' || as === 'shaft zone' ? 'var(--verdigris)' : 'var(--ink)');
const hatched = (as: Surface | 'line' | 'chain') => as === 'metal' || as === 'mate';
const CHAIN = '9 3 2 3';

function Drawn({
  shape,
  map,
  scale,
  id,
  units,
}: {
  readonly shape: Shape;
  readonly map: Map;
  readonly scale: number;
  readonly id: string;
  readonly units: Units;
}) {
  const path = (points: readonly Point[]) =>
    points
      .map((p) =>
        map(p)
          .map((v) => v.toFixed(2))
          .join(','),
      )
      .join(' ');
  switch (shape.is) {
    case 'area':
      return (
        <>
          {/* hatching lies on paper, so that one part hides what is behind it */}
          {hatched(shape.as) && <polygon points={path(shape.points)} fill="var(--paper)" />}
          <polygon points={path(shape.points)} fill={fillOf(shape.as, id)} stroke={strokeOf(shape.as)} strokeWidth="1.2" strokeLinejoin="round" />
        </>
      );
    case 'line':
      return (
        <polyline
          points={path(shape.points)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={shape.as === 'ink' ? 1.8 : 0.9}
          {...(shape.as === 'chain' && { strokeDasharray: CHAIN })}
        />
      );
    case 'circle': {
      const [x, y] = map(shape.at);
      return (
        <>
          {hatched(shape.as) && <circle cx={x} cy={y} r={shape.r * scale} fill="var(--paper)" />}
          <circle
            cx={x}
            cy={y}
            r={shape.r * scale}
            fill={fillOf(shape.as, id)}
            stroke={strokeOf(shape.as)}
            strokeWidth={shape.as === 'chain' ? 0.9 : 1.2}
            {...(shape.as === 'chain' && { strokeDasharray: CHAIN })}
          />
        </>
      );
    }
    case 'label': {
      const [x, y] = placeOf(shape, map);
      return (
        <text x={x} y={y} textAnchor={anchors[shape.side ?? 'middle']}>
          {said(shape.says, units)}
        </text>
      );
    }
    case 'angle':
      return <Angle shape={shape} map={map} scale={scale} units={units} />;
    case 'dim':
      return <Dimension shape={shape} map={map} units={units} />;
  }
}

const anchors = { left: 'end', middle: 'middle', right: 'start' } as const;
function Angle({
  shape: { at, from, to, r, says },
  map,
  scale,
  units,
}: {
  readonly shape: AngleShape;
  readonly map: Map;
  readonly scale: number;
  readonly units: Units;
}) {
  const [x, y] = map(at);
  const turn = (deg: number, by: number): Point => [x + by * Math.cos((deg * Math.PI) / 180), y - by * Math.sin((deg * Math.PI) / 180)];
  const [a, b] = [turn(from, r * scale), turn(to, r * scale)];
  const [tx, ty] = turn((from + to) / 2, r * scale + 10);
  const beside = Math.abs(Math.cos(((from + to) / 2) * (Math.PI / 180)));
  return (
    <g>
      <path
        d={`M${a.join(' ')} A${String(r * scale)} ${String(r * scale)} 0 ${to - from > 180 ? '1' : '0'} 0 ${b.join(' ')}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="0.9"
      />
      <text className="over" x={tx} y={ty + 4} textAnchor={beside > 0.5 ? 'start' : 'middle'}>
        {said(says, units)}
      </text>
    </g>
  );
}

function Dimension({ shape, map, units }: { readonly shape: DimShape; readonly map: Map; readonly units: Units }) {
  const { a, b, long, at, p, q } = lineOf(shape, map);
  const past = shape.off + Math.sign(shape.off) * 4;
  const gap = Math.sign(shape.off) * 2;
  const deg = (Math.atan2(q[1] - p[1], q[0] - p[0]) * 180) / Math.PI;
  // upright writing reads from the right
  const flip = deg > 89.9 || deg <= -90.1;
  const turn = flip ? deg + 180 : deg;
  const [mx, my] = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  const inside = long > 22;
  const head = (tip: Point, dir: number) => {
    const rad = (dir * Math.PI) / 180;
    const back = (side: number): string =>
      `${(tip[0] - 8 * Math.cos(rad) + side * 2 * Math.sin(rad)).toFixed(1)},${(tip[1] - 8 * Math.sin(rad) - side * 2 * Math.cos(rad)).toFixed(1)}`;
    return <polygon points={`${tip.join(',')} ${back(1)} ${back(-1)}`} fill="var(--ink)" />;
  };
  const thin = { stroke: 'var(--ink)', strokeWidth: 0.9 };
  const ext = (from: Point): readonly [Point, Point] => [at(from, gap), at(from, past)];
  const [e1, e2] = [ext(a), ext(b)];
  const tail = 12;
  const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  return (
    <g>
      <line x1={e1[0][0]} y1={e1[0][1]} x2={e1[1][0]} y2={e1[1][1]} {...thin} />
      <line x1={e2[0][0]} y1={e2[0][1]} x2={e2[1][0]} y2={e2[1][1]} {...thin} />
      {inside ? (
        <line x1={p[0]} y1={p[1]} x2={q[0]} y2={q[1]} {...thin} />
      ) : (
        <line x1={p[0] - ux * tail} y1={p[1] - uy * tail} x2={q[0] + ux * tail} y2={q[1] + uy * tail} {...thin} />
      )}
      {head(p, inside ? deg + 180 : deg)}
      {head(q, inside ? deg : deg + 180)}
      <text className="over" transform={`translate(${mx.toFixed(1)} ${my.toFixed(1)}) rotate(${turn.toFixed(1)})`} y={-4} textAnchor="middle">
        {said(shape.says, units)}
      </text>
    </g>
  );
}
