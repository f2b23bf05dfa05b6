import { type PlainBar, standingOut } from '@obra/core/holding';
import { type Units, write, writeWithUnit } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { Mapping } from './mapping';

/** What a hand may move of a holding in the picture, and who is told when it lets go; mm. */
export interface Movable {
  readonly bar: PlainBar;
  /** rev/min, for what the jaws hold */
  readonly speed: number;
  /** the bar may be pulled out or pushed in, not only gripped by more or less */
  readonly slides: boolean;
  readonly onMoved: (lengths: { readonly stickOut?: number; readonly grip?: number }) => void;
}

interface Props extends Movable {
  readonly map: Mapping;
  readonly view: (z: number) => number;
  readonly setup: Setup;
  readonly units: Units;
}

/** Steps of a hand: half a millimetre, or .02 in. */
const stepOf = (units: Units): number => (units === 'mm' ? 0.5 : 0.508);

/** The face and the back of the jaws as two handles: moved by mouse, finger or arrow keys. While they move nothing is drawn by React; letting go is one change. */
export function MoveJaws(props: Props) {
  const { map, view, setup, slides } = props;
  const ends = setup.gripped.map((z) => map.x(view(z)));
  const [back, face] = [Math.min(...ends), Math.max(...ends)];
  return (
    <g className="noprint">
      {slides && <Handle {...props} what="stickOut" at={face} />}
      <Handle {...props} what="grip" at={back} />
    </g>
  );
}

function Handle({ what, at, map, setup, units, bar, speed, onMoved }: Props & { readonly what: 'stickOut' | 'grip'; readonly at: number }) {
  const group = useRef<SVGGElement>(null);
  const words = useRef<SVGTextElement>(null);
  const from = useRef<number>(undefined);
  const step = stepOf(units);
  const was = what === 'stickOut' ? setup.stickOut.value : setup.grip.value;
  // jaws moved to the left: more stands out, and of the back edge more is gripped
  const reached = (dx: number) => Math.max(step, Math.round((was - dx / map.scale) / step) * step);
  const say = (now: number) => {
    const length = { is: 'length' as const, value: now, step: 0.1 };
    if (what === 'grip') return `${writeWithUnit(length, units)} gripped`;
    const { slender, spring, holds } = standingOut(bar, now, speed);
    return `${writeWithUnit(length, units)} out, ${write(slender, units).text} diameters, a light cut bends it ${writeWithUnit(spring, units)}${holds ? `, jaws hold ${writeWithUnit({ ...holds, step: 10 }, units)}` : ''}`;
  };
  const show = (dx: number) => {
    group.current?.setAttribute('transform', `translate(${String(dx)} 0)`);
    if (words.current) words.current.textContent = dx === 0 ? '' : say(reached(dx));
  };
  const done = (now: number) => {
    show(0);
    if (Math.abs(now - was) > 1e-6) onMoved({ [what]: now });
  };
  const down = (e: PointerEvent<SVGRectElement>) => {
    // a bar with break lines has no one scale to drag in: by keys there
    if (map.breaks.length > 0) return;
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    from.current = e.clientX;
  };
  const move = (e: PointerEvent<SVGRectElement>) => {
    if (from.current !== undefined) show(e.clientX - from.current);
  };
  const up = (e: PointerEvent<SVGRectElement>) => {
    if (from.current === undefined) return;
    const dx = e.clientX - from.current;
    from.current = undefined;
    done(reached(dx));
  };
  const key = (e: KeyboardEvent) => {
    const by = { ArrowLeft: 1, ArrowRight: -1, PageUp: 10, PageDown: -10 }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    done(Math.max(step, Math.round((was + by * step) / step) * step));
  };
  const high = map.y(setup.gripDiameter / 2);
  const [top, foot] = [high - 26, 2 * map.axis - high + 26];
  return (
    <g>
      <g ref={group}>
        <line x1={at} x2={at} y1={top} y2={foot} stroke="var(--blue)" strokeWidth={1.5} strokeDasharray="5 4" />
        <path d={`M${String(at - 7)} ${String(top)}l7 -6l7 6l-7 6z`} fill="var(--blue)" />
      </g>
      <rect
        x={at - 12}
        y={top - 8}
        width={24}
        height={foot - top + 16}
        fill="transparent"
        className={`handle ${map.breaks.length > 0 ? '' : 'handle-drag'}`}
        role="slider"
        tabIndex={0}
        aria-label={what === 'stickOut' ? 'Stick-out, in the picture' : 'Grip, in the picture'}
        aria-orientation="horizontal"
        aria-valuemin={0}
        aria-valuenow={Math.round(was * 10) / 10}
        aria-valuetext={say(was)}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={() => {
          from.current = undefined;
          show(0);
        }}
        onMouseDown={(e) => e.stopPropagation()}
        onTouchStart={(e) => e.stopPropagation()}
        onDoubleClick={(e) => e.stopPropagation()}
        onKeyDown={key}
      />
      <text ref={words} x={at + 14} y={Math.max(12, top - 12)} className="moving" />
    </g>
  );
}
