import { flattened, type Part, threadOf } from '../drawing';
import { edgesOf, type Region, type RingEdge } from './region';

/** Nearer to the finished contour than this is finished, mm: under any allowance that is left, over half of a usual tolerance. */
const NEAR = 0.13;

/** The edges of a stock that lie on the finished contour, off the centre line, or in the form of a thread: what is done. Part coordinates, mm. */
export function finishedEdges(stock: Region, { contour, features }: Pick<Part, 'contour' | 'features'>): readonly RingEdge[] {
  const points = flattened(contour, 0.01);
  const wanted = points.flatMap((a, i): RingEdge[] => {
    const b = points[(i + 1) % points.length];
    return b && (a.r > 0 || b.r > 0) ? [[a.z, a.r, b.z, b.r]] : [];
  });
  const onOne = (edge: RingEdge) =>
    wanted.some((w) => [0, 0.5, 1].every((t) => distance(edge[0] + t * (edge[2] - edge[0]), edge[1] + t * (edge[3] - edge[1]), w) <= NEAR));
  const threadBands = features.flatMap((f) => {
    const thread = threadOf(f);
    if (!thread) return [];
    const [low, high] = [Math.min(thread.crest, thread.root) / 2 - NEAR, Math.max(thread.crest, thread.root) / 2 + NEAR];
    return [{ left: Math.min(f.near, f.far) - NEAR, right: Math.max(f.near, f.far) + NEAR, low, high }];
  });
  const inForm = ([z0, r0, z1, r1]: RingEdge) =>
    threadBands.some((f) => Math.min(z0, z1) > f.left && Math.max(z0, z1) < f.right && Math.min(r0, r1) > f.low && Math.max(r0, r1) < f.high);
  return edgesOf(stock).filter((edge) => (edge[1] > 0 || edge[3] > 0) && (inForm(edge) || onOne(edge)));
}

/** Distance of a point from a segment, mm. */
function distance(z: number, r: number, [z0, r0, z1, r1]: RingEdge): number {
  const along = Math.hypot(z1 - z0, r1 - r0);
  const t = along === 0 ? 0 : Math.min(1, Math.max(0, ((z - z0) * (z1 - z0) + (r - r0) * (r1 - r0)) / along ** 2));
  return Math.hypot(z - z0 - t * (z1 - z0), r - r0 - t * (r1 - r0));
}
