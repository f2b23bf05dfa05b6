import type { ToolIn } from '@obra/core/proof';
import type { Region } from '@obra/core/stock';
import { type Mapping, mapping, type View } from './mapping';
import { Metal, Outline, Removed } from './shapes';

/** The tool where it begins its cut, with its own outline, and the way that it goes. */
export function ToolAt({ tool, map }: { readonly tool: ToolIn; readonly map: Mapping }) {
  const way = tool.motions.find((m) => m.cuts);
  if (!way) return null;
  const [x, r] = way.from;
  const px = ([dx, dr]: readonly [number, number]) => `${map.x(x + dx).toFixed(1)} ${map.y(-(r + dr)).toFixed(1)}`;
  const [x0, y0, x1, y1] = [map.x(x), map.y(-r), map.x(way.to[0]), map.y(-way.to[1])];
  const long = Math.hypot(x1 - x0, y1 - y0);
  const [ux, uy] = long > 0 ? [(x1 - x0) / long, (y1 - y0) / long] : [0, 0];
  // a way longer than it is seen is an arrow that says which way
  const shown = Math.min(long, 70);
  const [ex, ey] = [x0 + ux * shown, y0 + uy * shown];
  return (
    <g data-role="tool">
      {tool.outline.map((body, i) => (
        <path key={i} d={`M${body.map(px).join('L')}Z`} fill="var(--holding)" stroke="var(--ink)" strokeWidth={1.2} strokeLinejoin="round" />
      ))}
      {long > 6 && (
        <g
          stroke="var(--ink)"
          strokeWidth={1.6}
          fill="var(--ink)"
          data-role="travel"
          transform={`translate(${String(-uy * 12)} ${String(Math.abs(ux) * 12)})`}>
          <line x1={x0} y1={y0} x2={ex - ux * 7} y2={ey - uy * 7} />
          <path
            stroke="none"
            d={`M${ex} ${ey}L${ex - ux * 10 - uy * 4} ${ey - uy * 10 + ux * 4}L${ex - ux * 10 + uy * 4} ${ey - uy * 10 - ux * 4}Z`}
          />
        </g>
      )}
    </g>
  );
}

interface WholeProps {
  readonly whole: View;
  readonly near: Mapping;
  readonly width: number;
  readonly view: (z: number) => number;
  readonly stock: Region;
  readonly removes: Region;
  readonly finished: Region;
}

/** Where the small picture of the whole bar lies, px. */
const [LEFT, TOP, WIDE, TALL] = [14, 10, 250, 70];

/** The whole bar, small, with a window round what is shown large. */
export function WholeBar({ whole, near, width, view, stock, removes, finished }: WholeProps) {
  const map = mapping({ ...whole, width: WIDE, height: TALL, top: 8, bottom: 8, side: 12 });
  const at = { map, view };
  // the frame of the large picture in view coordinates
  const atPx = (px: number) => (px - near.x(0)) / near.scale;
  const [from, to] = [map.x(atPx(0)), map.x(atPx(width))].map((px) => Math.min(WIDE - 2, Math.max(2, px))) as [number, number];
  return (
    <g transform={`translate(${LEFT} ${TOP})`} data-role="whole">
      <rect width={WIDE} height={TALL} fill="var(--paper)" stroke="var(--rule)" />
      <Metal region={stock} {...at} />
      <Outline region={finished} dashed {...at} />
      <Removed region={removes} {...at} />
      <rect x={from} y={3} width={Math.max(6, to - from)} height={TALL - 6} fill="none" stroke="var(--blue)" strokeWidth={1.6} data-role="window" />
    </g>
  );
}
