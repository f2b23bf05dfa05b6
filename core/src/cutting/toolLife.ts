/**
 * Taylor's law through two tests: speeds in m/min, lives in minutes. @throws RangeError where the two do not differ as they must @source v T^n = C
 * @example taylor(100, 16, 200, 1) // { n: 0.25, C: 200 }
 */
export function taylor(v1: number, t1: number, v2: number, t2: number): { readonly n: number; readonly C: number } {
  if (!(v1 > 0 && v2 > 0 && t1 > 0 && t2 > 0 && v1 !== v2 && v1 > v2 === t1 < t2))
    throw new RangeError(`${v1} m/min for ${t1} min and ${v2} for ${t2}: the faster must wear sooner`);
  const n = Math.log(v1 / v2) / Math.log(t2 / t1);
  return { n, C: v1 * t1 ** n };
}

/**
 * Minutes of tool life at a speed. @source v T^n = C
 * @example toolLife(100, { n: 0.25, C: 200 }) // 16
 */
export const toolLife = (v: number, { n, C }: { readonly n: number; readonly C: number }): number => (C / v) ** (1 / n);

/** Minutes that an edge lasts at the starting speed of its material, and Taylor's exponent. @source usual values: 60 min and 0.125 for high-speed steel, 20 min and 0.25 for carbide; from memory, a factor of two */
export const edges = { hss: { minutes: 60, n: 0.125 }, carbide: { minutes: 20, n: 0.25 } } as const;
