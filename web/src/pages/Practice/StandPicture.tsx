import type { Seen, Stand, StandSet } from '@obra/core/practice';
import { type Units, writeWithUnit } from '@obra/core/quantity';
import { useEffect, useRef, useState } from 'react';

interface Props {
  readonly set: StandSet;
  readonly stand: Stand;
  readonly seen: Seen;
  readonly units: Units;
}

const TALL = 210;
const AXIS = 84;
/** px a mm */
const SCALE = 4.2;

/** The bar in its jaws from above, the tool from below: as far off the surface as it is, enlarged where it is near. */
export function StandPicture({ set, stand, seen, units }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1280);
  useEffect(() => {
    const element = box.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() => setWidth(Math.max(320, element.clientWidth)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const { rpm, centre } = stand.levers();
  const inside = set.kind === 'bore';
  const radius = (set.wanted.nominal / 2 + (inside ? 9 : 0.6)) * SCALE * 0.9;
  const left = Math.max(90, width * 0.22);
  const right = Math.min(width - 190, left + 420);
  const off = stand.gap();
  // a gap is drawn as its root: a tenth is seen, a millimetre does not leave the picture
  const away = Math.min(36, off <= 0 ? 0 : 5 + 18 * Math.sqrt(off));
  // the way of the tool is as long as the work that is drawn
  const over = Math.max(-1.1, Math.min(0.5, stand.along() / set.way.long)) * (right - left);
  const [tx, ty] = inside
    ? [right + Math.max(-150, Math.min(120, over)), AXIS + radius * 0.45 + away * 0.4]
    : [right + Math.max(left - right - 8, Math.min(90, over)), AXIS + radius + away];
  const said = right + (centre ? 200 : 70);
  const words = [seen.sound, seen.chips, seen.surface && `surface ${seen.surface}`, seen.warm].filter((t) => t !== undefined && t !== '').join('; ');
  return (
    <div className="bar" ref={box} style={{ height: TALL }}>
      <svg
        viewBox={`0 0 ${String(width)} ${String(TALL)}`}
        role="img"
        aria-label={`A bar in its chuck, ${centre ? 'the tailstock centre up, ' : ''}the spindle ${rpm > 0 ? `turns at ${String(rpm)} rpm` : 'stands'}. ${words}`}>
        <rect x={left - 70} y={AXIS - radius - 18} width={70} height={18} fill="var(--holding)" stroke="var(--holding-line)" />
        <rect x={left - 70} y={AXIS + radius} width={70} height={18} fill="var(--holding)" stroke="var(--holding-line)" />
        <rect
          x={left - 70}
          y={AXIS - radius}
          width={right - left + 70}
          height={2 * radius}
          fill="var(--steel)"
          stroke="var(--ink)"
          strokeWidth={1.2}
        />
        {inside && <rect x={right - 150} y={AXIS - radius * 0.45} width={150} height={radius * 0.9} fill="var(--paper)" stroke="var(--ink)" />}
        <line x1={left - 100} x2={right + 60} y1={AXIS} y2={AXIS} stroke="var(--ink)" strokeWidth={0.8} strokeDasharray="14 3 3 3" />
        {centre && (
          <path
            d={`M${String(right - 6)} ${String(AXIS)}l26 -15h46v-9h120v48h-120v-9h-46z`}
            fill="var(--holding)"
            stroke="var(--holding-line)"
            strokeLinejoin="round"
          />
        )}
        {rpm > 0 && (
          <g stroke="var(--quiet)" strokeWidth={1} opacity={0.6}>
            {Array.from({ length: 9 }, (_, i) => (
              <line
                key={i}
                x1={left + 10 + i * ((right - left - 20) / 9)}
                x2={left + 10 + i * ((right - left - 20) / 9)}
                y1={AXIS - radius + 4}
                y2={AXIS + radius - 4}
              />
            ))}
          </g>
        )}
        <path
          d={inside ? `M${String(tx - 110)} ${String(ty)}h-10v-8h10v-8h160v26h-160z` : `M${String(tx)} ${String(ty)}l16 24h-8v60h44v-60l-18 -6z`}
          fill="var(--holding)"
          stroke="var(--ink)"
          strokeWidth={1.4}
          strokeLinejoin="round"
        />
        {off > 0 && off < 3 && (
          <text x={tx + 64} y={Math.min(TALL - 26, ty + 34)} fontSize={13} fill="var(--quiet)">
            off the work
          </text>
        )}
        <text x={said} y={30} fontSize={15} fill="var(--ink)">
          {words === '' ? '' : words.split('; ')[0]}
        </text>
        {words
          .split('; ')
          .slice(1)
          .map((line, i) => (
            <text key={line} x={said} y={52 + 20 * i} fontSize={14} fill="var(--quiet)">
              {line}
            </text>
          ))}
        <text x={12} y={TALL - 12} fontSize={13} fill="var(--quiet)">
          drawn {inside ? 'in section' : 'from above'}; wanted {writeWithUnit({ is: 'length', value: set.wanted.nominal }, units)}
        </text>
      </svg>
    </div>
  );
}
