import type { Part } from '@obra/core/drawing';
import { type PointerEvent, useRef } from 'react';
import type { Typing } from './CellInPicture';
import type { Mapping } from './mapping';

interface Props {
  readonly part: Part;
  readonly map: Mapping;
  readonly typing: Typing;
}

/** Shoulders that a hand moves: the length of the row before each, in steps as fine as the drawing's own lengths. By keys a length is typed. */
export function DragShoulders({ part, map, typing }: Props) {
  // shortened by break lines the picture has no one scale to drag in
  if (map.breaks.length > 0) return null;
  return (
    <g aria-hidden="true" className="noprint">
      {part.features
        .filter((f) => f.side === 'outside')
        .map((f) => (
          <Shoulder key={f.id} row={f.id} long={f.near - f.far} at={map.x(f.far)} top={map.y(f.farDiameter.nominal / 2)} map={map} typing={typing} />
        ))}
    </g>
  );
}

interface ShoulderProps {
  readonly row: string;
  /** mm */
  readonly long: number;
  readonly at: number;
  readonly top: number;
  readonly map: Mapping;
  readonly typing: Typing;
}

function Shoulder({ row, long, at, top, map, typing }: ShoulderProps) {
  const line = useRef<SVGLineElement>(null);
  const words = useRef<SVGTextElement>(null);
  const from = useRef<number>(undefined);
  const show = (dx: number | undefined) => {
    const moved = dx === undefined ? undefined : typing.moved(row, long - dx / map.scale);
    line.current?.setAttribute('transform', `translate(${String(moved ? (long - moved.mm) * map.scale : 0)} 0)`);
    line.current?.classList.toggle('dragged', moved !== undefined);
    if (words.current) words.current.textContent = moved?.text ?? '';
    return moved;
  };
  const down = (e: PointerEvent<SVGRectElement>) => {
    if (!typing.moved(row, long)) return;
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    from.current = e.clientX;
  };
  const end = (e: PointerEvent<SVGRectElement>, keeps: boolean) => {
    if (from.current === undefined) return;
    const moved = show(e.clientX - from.current);
    from.current = undefined;
    show(undefined);
    if (keeps && moved && Math.abs(moved.mm - long) > 1e-6) typing.put(`${row}.length`, moved.text);
  };
  return (
    <g>
      <line ref={line} className="shoulder" x1={at} x2={at} y1={top - 4} y2={map.axis} />
      <rect
        x={at - 5}
        // below the corner, which answers for itself
        y={top + 7}
        width={10}
        height={Math.max(8, map.axis - top - 7)}
        className="shoulder-grip"
        data-shoulder={row}
        onPointerDown={down}
        onPointerMove={(e) => {
          if (from.current !== undefined) show(e.clientX - from.current);
        }}
        onPointerUp={(e) => end(e, true)}
        onPointerCancel={(e) => end(e, false)}
        onMouseDown={(e) => e.stopPropagation()}
        onTouchStart={(e) => e.stopPropagation()}
      />
      <text ref={words} x={at + 12} y={top - 8} className="moving" />
    </g>
  );
}
