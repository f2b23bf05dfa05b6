import type { Calculator, Point, Shape } from '@obra/core/handbook';
import { useEffect, useState } from 'react';

const [WIDE, HIGH, EDGE] = [62, 38, 3];
/** Pictures that were made, by calculator: they start from what an entry starts with, so they never change. */
const made = new Map<string, readonly Shape[]>();
let queue: (() => void)[] = [];
let working = false;
const idle = (work: () => void) => ('requestIdleCallback' in window ? window.requestIdleCallback(work) : setTimeout(work, 30));

/** One after the other when the page has nothing else to do: the list stands first. */
function later(work: () => void): () => void {
  queue.push(work);
  const next = () => {
    const one = queue.shift();
    if (!one) {
      working = false;
      return;
    }
    one();
    idle(next);
  };
  if (!working) {
    working = true;
    idle(next);
  }
  return () => {
    queue = queue.filter((w) => w !== work);
  };
}

const pointsOf = (s: Shape): readonly Point[] =>
  s.is === 'area' || s.is === 'line'
    ? s.points
    : s.is === 'circle'
      ? [
          [s.at[0] - s.r, s.at[1] - s.r],
          [s.at[0] + s.r, s.at[1] + s.r],
        ]
      : [];

/** What an entry is for, small and without words: its figure as it starts. */
export function Thumb({ of }: { readonly of: Calculator }) {
  const [shapes, setShapes] = useState(() => made.get(of.id));
  useEffect(() => {
    if (made.has(of.id)) return undefined;
    return later(() => {
      const answer = of.answer({}, 'mm');
      const drawn = (answer.ok ? answer.sketch?.shapes : undefined) ?? [];
      made.set(of.id, drawn);
      setShapes(drawn);
    });
  }, [of]);
  const points = (shapes ?? []).flatMap(pointsOf);
  const [x0, x1] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const [y0, y1] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
  const scale = points.length === 0 ? 1 : Math.min((WIDE - 2 * EDGE) / Math.max(x1 - x0, 1e-6), (HIGH - 2 * EDGE) / Math.max(y1 - y0, 1e-6));
  const [left, top] = [(WIDE - scale * (x1 - x0)) / 2, (HIGH - scale * (y1 - y0)) / 2];
  const map = ([x, y]: Point): string => `${(left + scale * (x - x0)).toFixed(1)},${(top + scale * (y1 - y)).toFixed(1)}`;
  return (
    <svg className="thumb" width={WIDE} height={HIGH} viewBox={`0 0 ${String(WIDE)} ${String(HIGH)}`} aria-hidden="true">
      {points.length > 0 &&
        shapes?.map((s, i) => {
          if (s.is === 'area')
            return (
              <polygon
                key={i}
                points={s.points.map(map).join(' ')}
                fill={s.as === 'cut' ? 'var(--brass)' : 'var(--holding)'}
                stroke="var(--ink)"
                strokeWidth="0.9"
              />
            );
          if (s.is === 'line')
            return <polyline key={i} points={s.points.map(map).join(' ')} fill="none" stroke="var(--ink)" strokeWidth={s.as === 'ink' ? 1.2 : 0.5} />;
          if (s.is === 'circle') {
            const [cx, cy] = map(s.at).split(',');
            return (
              <circle
                key={i}
                cx={cx}
                cy={cy}
                r={Math.max(0.6, scale * s.r)}
                fill={
                  s.as === 'cut'
                    ? 'var(--brass)'
                    : s.as === 'line' || s.as === 'chain'
                      ? 'none'
                      : s.as === 'gauge'
                        ? 'var(--steel)'
                        : 'var(--holding)'
                }
                stroke="var(--ink)"
                strokeWidth="0.8"
              />
            );
          }
          return null;
        })}
    </svg>
  );
}
