import type { Machine, Tool } from '@obra/core/document';
import { type Units, writeSentence } from '@obra/core/quantity';
import { drawnTool } from '@obra/core/tooling';

const WIDE = 300;
const HIGH = 96;
const EDGE = 6;

interface Props {
  readonly tool: Tool | undefined;
  readonly machine: Machine | undefined;
  readonly units: Units;
}

/** The tool in hand as it is understood: its edge, its holder, the hole that a bar goes into; seen as on the bar, headstock to the left, the operator at the foot. */
export function ToolPicture({ tool, machine, units }: Props) {
  if (!tool) return <p className="tool-picture quiet">Choose a tool: its outline stands here as it is understood.</p>;
  const { shapes, says } = drawnTool(tool, machine);
  // the post is cut off: what counts is at the edge
  const near = shapes.filter((s) => s.is !== 'post').flatMap((s) => s.outline);
  const [left, right] = [Math.min(0, ...near.map(([x]) => x)), Math.max(1, ...near.map(([x]) => x))];
  const [low, high] = [Math.min(0, ...near.map(([, r]) => r)), Math.max(1, ...near.map(([, r]) => r))];
  const scale = Math.min((WIDE / 2 - 2 * EDGE) / (right - left), (HIGH - 2 * EDGE) / (high - low));
  const at = ([x, r]: readonly [number, number]) => `${((x - left) * scale + EDGE).toFixed(1)},${((r - low) * scale + EDGE).toFixed(1)}`;
  const words = says.map((s) => writeSentence(s, units)).join('; ');
  return (
    <figure className="tool-picture" data-testid="tool-picture">
      {shapes.length > 0 && (
        <svg width={WIDE / 2} height={HIGH} role="img" aria-label={`${tool.name}: ${words}`}>
          {shapes.map((s, i) =>
            s.is === 'hole' ? (
              <polyline key={i} className="drawn-hole" points={s.outline.map(at).join(' ')} />
            ) : (
              <polygon key={i} className={`drawn-${s.is}`} points={s.outline.map(at).join(' ')} />
            ),
          )}
        </svg>
      )}
      <figcaption>
        <b>{tool.name}</b> {words}
      </figcaption>
    </figure>
  );
}
