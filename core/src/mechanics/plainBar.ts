/** A round bar of one diameter, loaded sideways. */
export interface PlainBar {
  /** mm */
  readonly diameter: number;
  /** of a hollow bar, mm */
  readonly inside?: number;
  /** N/mm2 */
  readonly modulus: number;
  /** from the chuck to the free end or to the centre, mm */
  readonly length: number;
  /** how it is held: in the chuck alone, between centres, or in the chuck with a centre */
  readonly held: 'chuck' | 'centres' | 'chuck and centre';
}

/** Second moment of area of a round or a tube, mm4. @source pi (d^4 - di^4) / 64 */
export const secondMoment = (diameter: number, inside = 0): number => (Math.PI * (diameter ** 4 - inside ** 4)) / 64;

/**
 * Deflection (mm, sideways) under a force (N) at `at` mm from the chuck, ends rigid. The error on diameter is twice this.
 * @throws RangeError where the load is not on the bar
 * @source closed forms of beam theory: F a^3 / 3 E I; F a^2 b^2 / 3 E I L; F a^3 b^2 (4 L - a) / 12 E I L^3
 * @example deflectionAt({ diameter: 20, modulus: 210000, length: 100, held: 'chuck' }, 100, 100) // (64 * 100 * 100 ** 3) / (3 * 210000 * Math.PI * 20 ** 4)
 */
export function deflectionAt({ diameter, inside = 0, modulus, length: L, held }: PlainBar, force: number, at: number): number {
  if (!(diameter > inside && inside >= 0 && L > 0 && at >= 0 && at <= L && modulus > 0))
    throw new RangeError(`a bar of ${diameter} mm, inside ${inside}, ${L} long, loaded at ${at} mm`);
  const EI = modulus * secondMoment(diameter, inside);
  const b = L - at;
  if (held === 'chuck') return (force * at ** 3) / (3 * EI);
  if (held === 'centres') return (force * at ** 2 * b ** 2) / (3 * EI * L);
  return (force * at ** 3 * b ** 2 * (4 * L - at)) / (12 * EI * L ** 3);
}

/**
 * Where along the bar a load bends it most, mm from the chuck: the free end, the middle, or 0.586 L. @source derivative of the closed forms
 * @example weakestPlace({ diameter: 20, modulus: 210000, length: 100, held: 'centres' }) // 50
 */
export const weakestPlace = ({ length, held }: PlainBar): number => length * { chuck: 1, centres: 0.5, 'chuck and centre': 2 - Math.SQRT2 }[held];

/**
 * How far the bar lies off its straight line at `x` mm from the chuck, under a force (N) at `at`; mm. At the load it is `deflectionAt`.
 * @throws RangeError where load or place is not on the bar
 * @source closed forms of beam theory
 */
export function bentLine(bar: PlainBar, force: number, at: number, x: number): number {
  const L = bar.length;
  if (!(x >= 0 && x <= L)) throw new RangeError(`${x} mm is not on a bar of ${L} mm`);
  const peak = deflectionAt(bar, force, at);
  if (peak === 0) return 0;
  const b = L - at;
  if (bar.held === 'chuck') return peak * (x <= at ? (x ** 2 * (3 * at - x)) / (2 * at ** 3) : 1 + (3 * (x - at)) / (2 * at));
  if (bar.held === 'centres')
    return (
      peak * (x <= at ? (x * (L ** 2 - b ** 2 - x ** 2)) / (2 * at ** 2 * b) : ((L - x) * (L ** 2 - at ** 2 - (L - x) ** 2)) / (2 * at * b ** 2))
    );
  // the centre's reaction, as a share of the force
  const R = (at ** 2 * (3 * L - at)) / (2 * L ** 3);
  const y = (z: number) => (at * z ** 2) / 2 - z ** 3 / 6 + (z > at ? (z - at) ** 3 / 6 : 0) - R * ((L * z ** 2) / 2 - z ** 3 / 6);
  return (peak * y(x)) / y(at);
}
