import type { Part } from '@obra/core/drawing';
import type { Step } from '@obra/core/operations';
import { thingOf } from '@obra/core/ref';
import { boundsOf } from '@obra/core/stock';
import type { Mapping } from './mapping';

/** Most and least px a millimetre of the place in hand, and how much larger than the whole bar it is worth showing apart. */
const [MOST, LEAST, WORTH] = [14, 5, 1.35];
/** A lower picture has no room for a part of the bar beside the whole of it, px. */
const LOW = 130;
/** The innermost surface that is cut stands so far under the upper edge, px. */
const TOP = 16;
/** Room for the rule at the foot, px. */
const FOOT = 26;

/** The place in hand, large enough to see a millimetre: where a step cuts, in view coordinates; undefined where the whole bar is as large already. */
export function nearby(
  step: Step,
  part: Part,
  view: (z: number) => number,
  whole: Mapping,
  { width, height }: { readonly width: number; readonly height: number },
): Mapping | undefined {
  const at = placeOf(step, part);
  if (!at || height < LOW) return undefined;
  const ends = [view(at.left), view(at.right)];
  const [from, to] = [Math.min(...ends), Math.max(...ends)];
  const long = Math.max(to - from, 3);
  const tall = height - FOOT - 12;
  const full = tall / (2.3 * Math.max(at.radius, 1));
  const wide = Math.min(MOST, (0.5 * width) / long);
  // both sides of the axis where they fit, else the operator's side alone
  const both = full >= LEAST || full >= wide;
  // of one side alone the whole depth of what is cut is seen
  const deep = (0.46 * height - TOP) / Math.max(at.radius - at.inner, 0.1);
  const scale = both ? Math.min(Math.max(wide, LEAST), full) : Math.min(Math.max(wide, LEAST), 10, deep);
  if (scale < WORTH * whole.scale) return undefined;
  const axis = both ? 6 + tall / 2 : 0.46 * height - scale * at.radius;
  // a long row is seen where the tool enters it
  const middle = long * scale > 0.75 * width ? to - (0.3 * width) / scale : (from + to) / 2;
  return { scale, axis, breaks: [], x: (u) => width * 0.54 + scale * (u - middle), y: (r) => axis - scale * r };
}

/** Where a step cuts; of one that removes nothing the row it is about. */
function placeOf(
  step: Step,
  part: Part,
): { readonly left: number; readonly right: number; readonly radius: number; readonly inner: number } | undefined {
  if (step.removes.length > 0) return { ...boundsOf(step.removes), inner: innerOf(step) };
  const thing = thingOf(step.does[0] ?? '');
  const row = part.features.find((f) => f.id === (part.details.find((d) => d.id === thing)?.on ?? thing));
  const radius = row && Math.max(row.nearDiameter.nominal, row.farDiameter.nominal) / 2;
  return row && radius !== undefined ? { left: row.far, right: row.near, radius, inner: radius } : undefined;
}

/** The smallest radius of what a step takes off. */
const innerOf = ({ removes }: Step): number =>
  Math.min(...removes.flatMap((rings) => rings.flatMap((ring) => Array.from(ring).filter((_, i) => i % 2 === 1))));
