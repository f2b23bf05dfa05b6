import { write, type Units } from '@obra/core/quantity';
import { type PointerEvent, useEffect, useRef } from 'react';

interface Props {
  /** what it shows, mm */
  readonly value: number;
  /** one division, mm */
  readonly division: number;
  /** divisions round the ring */
  readonly round: number;
  readonly units: Units;
  readonly words: string;
  readonly small?: boolean;
  readonly onTurn: (to: number) => void;
}

const SIZE = 210;
const MIDDLE = SIZE / 2;
const RING = 92;

/** A hand wheel with its dial: dragged round, by the wheel of the mouse, by arrow keys; with Shift by tenths of a division. */
export function Dial({ value, division, round, units, words, small, onTurn }: Props) {
  const knob = useRef<SVGSVGElement>(null);
  const turned = useRef({ from: 0, angle: 0 });
  const one = (2 * Math.PI) / round;
  const angle = (value / division) * one;
  const by = (divisions: number) => onTurn(value + divisions * division);
  const angleOf = (e: PointerEvent | globalThis.PointerEvent) => {
    const box = knob.current?.getBoundingClientRect();
    return box ? Math.atan2(e.clientY - box.top - box.height / 2, e.clientX - box.left - box.width / 2) : 0;
  };
  // the wheel of the mouse turns the handle, and not the page
  useEffect(() => {
    const element = knob.current;
    if (!element) return undefined;
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      by((e.deltaY < 0 ? 1 : -1) * (e.shiftKey ? 0.1 : 1));
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  });
  const said = write({ is: 'length', value, step: division / 10 }, units).text;
  return (
    <svg
      ref={knob}
      className={`practice-dial${small === true ? ' small' : ''}`}
      width={SIZE}
      height={SIZE}
      viewBox={`0 0 ${String(SIZE)} ${String(SIZE)}`}
      role="slider"
      tabIndex={0}
      aria-label={words}
      aria-valuenow={Math.round(value * 1e4) / 1e4}
      aria-valuetext={said}
      onKeyDown={(e) => {
        const step = e.shiftKey ? 0.1 : 1;
        const moves: Readonly<Record<string, number>> = {
          ArrowUp: step,
          ArrowRight: step,
          ArrowDown: -step,
          ArrowLeft: -step,
          PageUp: 10,
          PageDown: -10,
        };
        const move = moves[e.key];
        if (move === undefined) return;
        e.preventDefault();
        by(move);
      }}
      onPointerDown={(e) => {
        knob.current?.setPointerCapture(e.pointerId);
        turned.current = { from: value, angle: angleOf(e) };
      }}
      onPointerMove={(e) => {
        if (!knob.current?.hasPointerCapture(e.pointerId)) return;
        const now = angleOf(e);
        let gone = now - turned.current.angle;
        if (gone > Math.PI) gone -= 2 * Math.PI;
        if (gone < -Math.PI) gone += 2 * Math.PI;
        // drawn round, the ring goes by tenths of a division
        const divisions = Math.round((gone / one) * 10) / 10;
        if (divisions === 0) return;
        onTurn(value + divisions * division);
        turned.current = { from: value, angle: turned.current.angle + divisions * one };
      }}>
      <circle cx={MIDDLE} cy={MIDDLE} r={RING + 8} className="rim" />
      <g transform={`rotate(${((-angle * 180) / Math.PI).toFixed(3)} ${String(MIDDLE)} ${String(MIDDLE)})`}>
        <circle cx={MIDDLE} cy={MIDDLE} r={RING} className="ring" />
        {Array.from({ length: round }, (_, i) => {
          const a = i * one - Math.PI / 2;
          const long = i % 10 === 0 ? 16 : i % 5 === 0 ? 11 : 7;
          const at = (r: number) => `${(MIDDLE + r * Math.cos(a)).toFixed(2)} ${(MIDDLE + r * Math.sin(a)).toFixed(2)}`;
          return <path key={i} d={`M${at(RING)}L${at(RING - long)}`} className="line" />;
        })}
        {Array.from({ length: Math.ceil(round / 10) }, (_, k) => {
          const a = 10 * k * one - Math.PI / 2;
          return (
            <text
              key={k}
              x={MIDDLE + (RING - 28) * Math.cos(a)}
              y={MIDDLE + (RING - 28) * Math.sin(a)}
              textAnchor="middle"
              dominantBaseline="central"
              transform={`rotate(${((10 * k * one * 180) / Math.PI).toFixed(2)} ${(MIDDLE + (RING - 28) * Math.cos(a)).toFixed(2)} ${(MIDDLE + (RING - 28) * Math.sin(a)).toFixed(2)})`}>
              {write({ is: 'length', value: 10 * k * division, step: division }, units)
                .text.replace(/0+$/, '')
                .replace(/[.,]$/, '')}
            </text>
          );
        })}
      </g>
      <path d={`M${String(MIDDLE)} ${String(MIDDLE - RING - 8)}v14`} className="mark" />
      <circle cx={MIDDLE} cy={MIDDLE} r={30} className="hub" />
    </svg>
  );
}
