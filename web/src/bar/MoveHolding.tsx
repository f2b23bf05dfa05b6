import { type PlainBar, standingOut } from '@obra/core/holding';
import { type Units, write, writeWithUnit } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { Mapping } from './mapping';

/** What a hand has moved: lengths in mm, a steady from the free face; the tailstock centre brought up or withdrawn. */
export interface Moved {
  readonly stickOut?: number;
  readonly grip?: number;
  readonly steady?: number;
  readonly centre?: boolean;
}

/** What a hand may move of a holding in the picture, and who is told when it lets go. */
export interface Movable {
  readonly bar: PlainBar;
  /** rev/min, for what the jaws hold */
  readonly speed: number;
  /** the bar may be pulled out or pushed in, not only gripped by more or less */
  readonly slides: boolean;
  /** the tailstock centre that may be brought up, or is and may be withdrawn */
  readonly centre?: PlainBar['centre'];
  /** what the whole route comes to, in words */
  readonly ask: (moved: Moved) => Promise<string>;
  readonly onMoved: (moved: Moved) => void;
}

interface Props extends Movable {
  readonly map: Mapping;
  readonly view: (z: number) => number;
  readonly setup: Setup;
  readonly units: Units;
  /** of the picture, px */
  readonly width: number;
}

/** Steps of a hand: half a millimetre, or .02 in. */
const stepOf = (units: Units): number => (units === 'mm' ? 0.5 : 0.508);

/** A centre is brought or withdrawn when it is moved by so much, px; withdrawn it stands so far off. */
const [THROW, PARKED] = [24, 44];

/**
 * The jaws, a steady and the tailstock centre as handles: moved by mouse, finger or arrow keys. While they move nothing is drawn by React, and what the whole route comes
 * to is asked of the worker; letting go is one change.
 */
export function MoveHolding(props: Props) {
  const { map, view, setup, slides, bar, speed, units, centre } = props;
  const ends = setup.gripped.map((z) => map.x(view(z)));
  const [back, face] = [Math.min(...ends), Math.max(...ends)];
  const step = stepOf(units);
  const said = (value: number, shown = 0.1) => writeWithUnit({ is: 'length', value, step: shown }, units);
  const sliding = (was: number, way: 1 | -1) => ({
    value: was,
    reached: (dx: number) => Math.max(step, Math.round((was + (way * dx) / map.scale) / step) * step),
    turned: (key: string) => {
      const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -10, PageDown: 10 }[key];
      return by === undefined ? undefined : Math.max(step, Math.round((was + way * by * step) / step) * step);
    },
    least: 0,
    drags: map.breaks.length === 0,
  });
  const spring = (of: PlainBar, out: number) => {
    const { slender, spring: bends, holds } = standingOut(of, out, speed);
    return `${write(slender, units).text} diameters, a light cut bends it ${writeWithUnit({ ...bends, step: 0.001 }, units)}${holds ? `, jaws hold ${writeWithUnit({ ...holds, step: 10 }, units)}` : ''}`;
  };
  const out = setup.stickOut.value;
  const { steady } = bar;
  const up = setup.support.some((s) => s.kind === 'centre');
  const free = map.x(0);
  const high = map.y(setup.gripDiameter / 2);
  return (
    <g className="noprint">
      {slides && (
        <Handle
          {...props}
          {...sliding(out, -1)}
          at={face}
          high={high}
          name="Stick-out, in the picture"
          say={(now) => `${said(now)} out, ${spring(bar, now)}`}
          moved={(now) => ({ stickOut: now })}
        />
      )}
      <Handle
        {...props}
        {...sliding(setup.grip.value, -1)}
        at={back}
        high={high}
        name="Grip, in the picture"
        say={(now) => `${said(now)} gripped`}
        moved={(now) => ({ grip: now })}
      />
      {steady && (
        <Handle
          {...props}
          {...sliding(steady.from, -1)}
          at={free - steady.from * map.scale}
          high={high}
          name="Steady, in the picture"
          say={(now) => `steady ${said(now)} from the face: ${spring({ ...bar, steady: { ...steady, from: now } }, out)}`}
          moved={(now) => ({ steady: now })}
        />
      )}
      {centre && (
        <Handle
          {...props}
          value={up ? 1 : 0}
          least={0}
          most={1}
          drags
          reached={(dx) => (up ? (dx > THROW ? 0 : 1) : dx < -THROW ? 1 : 0)}
          turned={(key) => ({ ArrowLeft: 1, ArrowRight: 0, ' ': up ? 0 : 1, Enter: up ? 0 : 1 })[key]}
          at={free + (up ? 18 : PARKED + 18)}
          high={Math.max(high, map.axis - 24)}
          ghost={up ? undefined : { x: free + PARKED, y: map.axis }}
          name="Tailstock centre, in the picture"
          say={(now) => `centre ${now === 1 ? 'up' : 'withdrawn'}: ${spring({ ...bar, centre: now === 1 ? centre : undefined }, out)}`}
          moved={(now) => ({ centre: now === 1 })}
        />
      )}
    </g>
  );
}

interface HandleProps extends Pick<Movable, 'ask' | 'onMoved'> {
  readonly name: string;
  readonly at: number;
  /** the upper edge of what it goes along, px */
  readonly high: number;
  readonly map: Mapping;
  readonly width: number;
  readonly value: number;
  readonly least: number;
  readonly most?: number;
  /** by pointer too: a bar with break lines has no one scale to drag in */
  readonly drags: boolean;
  /** what it stands for when it is moved by so many px, or by a key */
  readonly reached: (dx: number) => number;
  readonly turned: (key: string) => number | undefined;
  /** where a centre stands that is not brought up */
  readonly ghost?: { readonly x: number; readonly y: number } | undefined;
  readonly say: (now: number) => string;
  readonly moved: (now: number) => Moved;
}

function Handle({ name, at, high, map, width, value, least, most, drags, reached, turned, ghost, say, moved, ask, onMoved }: HandleProps) {
  const group = useRef<SVGGElement>(null);
  const words = useRef<SVGTextElement>(null);
  const whole = useRef<SVGTextElement>(null);
  const from = useRef<number>(undefined);
  const wanted = useRef<number>(undefined);
  const asking = useRef(false);
  const write = (line: typeof words, text: string) => {
    if (line.current) line.current.textContent = text;
  };
  /** One question at a time; the newest place is asked about when the last one is answered. */
  const askFor = (now: number) => {
    wanted.current = now;
    if (asking.current) return;
    asking.current = true;
    void ask(moved(now))
      .catch(() => '')
      .then((text) => {
        asking.current = false;
        if (from.current === undefined || wanted.current === undefined) return;
        if (wanted.current === now) write(whole, text);
        else askFor(wanted.current);
      });
  };
  const show = (dx: number) => {
    group.current?.setAttribute('transform', `translate(${String(dx)} 0)`);
    const now = reached(dx);
    write(words, dx === 0 ? '' : say(now));
    if (dx === 0) write(whole, '');
    else if (now !== wanted.current) askFor(now);
  };
  const done = (now: number) => {
    wanted.current = undefined;
    show(0);
    if (Math.abs(now - value) > 1e-6) onMoved(moved(now));
  };
  const down = (e: PointerEvent<SVGRectElement>) => {
    if (!drags) return;
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
    const now = turned(e.key);
    if (now === undefined) return;
    e.preventDefault();
    done(now);
  };
  const [top, foot] = [high - 26, 2 * map.axis - high + 26];
  // beside the hand, on the side that has room
  const beside = at > width / 2 ? ({ x: at - 14, textAnchor: 'end' } as const) : { x: at + 14 };
  return (
    <g>
      <g ref={group}>
        {ghost && (
          <path
            d={`M${String(ghost.x)} ${String(ghost.y)}l14 -8h24v16h-24z`}
            fill="none"
            stroke="var(--blue)"
            strokeWidth={1.2}
            strokeDasharray="4 3"
          />
        )}
        <line x1={at} x2={at} y1={top} y2={foot} stroke="var(--blue)" strokeWidth={1.5} strokeDasharray="5 4" />
        <path d={`M${String(at - 7)} ${String(top)}l7 -6l7 6l-7 6z`} fill="var(--blue)" />
      </g>
      <rect
        x={at - 12}
        y={top - 8}
        width={24}
        height={foot - top + 16}
        fill="transparent"
        className={`handle ${drags ? 'handle-drag' : ''}`}
        role="slider"
        tabIndex={0}
        aria-label={name}
        aria-orientation="horizontal"
        aria-valuemin={least}
        aria-valuemax={most}
        aria-valuenow={Math.round(value * 10) / 10}
        aria-valuetext={say(value)}
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
      <text ref={words} {...beside} y={14} className="moving" />
      <text ref={whole} {...beside} y={30} className="moving" />
    </g>
  );
}
