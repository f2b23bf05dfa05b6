/** Numbers at random from a seed: the same seed gives the same ones. */
export interface Random {
  /** even over 0 to 1 */
  readonly even: () => number;
  /** normal with mean 0 and deviation 1 */
  readonly normal: () => number;
}

/** @source mulberry32, a 32 bit generator in the public domain; normal by Box and Muller 1958 */
export function randomFrom(seed: number): Random {
  let state = seed >>> 0;
  const even = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  let kept: number | undefined;
  const normal = () => {
    if (kept !== undefined) {
      const now = kept;
      kept = undefined;
      return now;
    }
    const radius = Math.sqrt(-2 * Math.log(Math.max(even(), 1e-300)));
    const angle = 2 * Math.PI * even();
    kept = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
  return { even, normal };
}
