/** How a ring gives way under equal loads spread evenly round it, all pointing inwards. */
export interface SqueezedRing {
  /** inwards under each load, mm */
  readonly atLoad: number;
  /** outwards half way between two loads, mm */
  readonly between: number;
  /** largest bending moment, N mm, under a load */
  readonly moment: number;
}

/**
 * A thin ring squeezed by n jaws.
 * @param n number of loads, 2 or more
 * @param load N, each
 * @param radius of the middle of the wall, mm
 * @param stiffness E I of the wall's section, N mm2
 * @throws RangeError for fewer than two loads or a ring without size
 * @source Roark's Formulas for Stress and Strain, circular rings, equal radial loads; from memory
 */
export function squeezed(n: number, load: number, radius: number, stiffness: number): SqueezedRing {
  if (!(Number.isInteger(n) && n >= 2 && radius > 0 && stiffness > 0))
    throw new RangeError(`${n} loads on a ring of radius ${radius}, EI ${stiffness}`);
  const half = Math.PI / n;
  const [s, c] = [Math.sin(half), Math.cos(half)];
  const unit = (load * radius ** 3) / stiffness;
  return {
    atLoad: (unit / 2) * ((half + s * c) / (2 * s ** 2) - 1 / half),
    between: (unit / 4) * (2 / half - 1 / s - (half * c) / s ** 2),
    moment: ((load * radius) / 2) * (1 / half - c / s),
  };
}

/** How far from round a bore is after it was bored true in n jaws and let go: highest to lowest, on radius, mm. @source the squeezed shape turned inside out */
export const lobes = (ring: SqueezedRing): number => ring.atLoad + ring.between;
