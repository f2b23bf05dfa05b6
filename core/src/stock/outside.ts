import { combine } from './combine';
import { boundsOf, edgesOf, type Region } from './region';

/** Steps just beside a corner, so that both sides of a shoulder are seen, mm. */
const BESIDE = 1e-4;

/** The outer radius of a region between two z, least and most, mm; 0 where there is no metal. */
export function outsideOf(region: Region, from: number, to: number): { readonly least: number; readonly most: number } {
  const [left, right] = [Math.min(from, to), Math.max(from, to)];
  const edges = edgesOf(region);
  const at = (z: number) =>
    edges.reduce((most, [z0, r0, z1, r1]) => {
      if (z0 === z1 || (z - z0) * (z - z1) > 0) return most;
      return Math.max(most, r0 + ((r1 - r0) * (z - z0)) / (z1 - z0));
    }, 0);
  const corners = edges.map(([z0]) => z0).filter((z) => z > left && z < right);
  const seen = [left + BESIDE, right - BESIDE, ...corners.flatMap((z) => [z - BESIDE, z + BESIDE])].map(at);
  return { least: Math.min(...seen), most: Math.max(...seen) };
}

/** A region less what was swept of it between two z, mm: what was swept elsewhere is not looked at. */
export function lessSwept(region: Region, swept: readonly Region[], from: number, to: number): Region {
  const [left, right] = [Math.min(from, to), Math.max(from, to)];
  const near = swept.filter((s) => {
    const reaches = boundsOf(s);
    return reaches.left < right && reaches.right > left;
  });
  return near.length === 0 ? region : combine('difference', region, near.flat());
}
