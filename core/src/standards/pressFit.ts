/** A hub on a shaft, mm and N/mm2; a hollow shaft has an inside. */
export interface PressFit {
  /** diametral, mm */
  readonly interference: number;
  readonly diameter: number;
  readonly outside: number;
  readonly inside?: number;
  readonly length: number;
  readonly friction: number;
  readonly hub: Elastic;
  readonly shaft: Elastic;
}

export interface Elastic {
  /** N/mm2 */
  readonly modulus: number;
  readonly poisson: number;
  /** N/mm2; where it is known a warning is possible */
  readonly yield?: number;
}

export interface Pressed {
  /** N/mm2 */
  readonly pressure: number;
  /** to push it, N */
  readonly force: number;
  /** held by friction, N m */
  readonly torque: number;
  /** tangential in the hub at its bore, N/mm2 */
  readonly hoop: number;
  /** share of the hub's yield by the largest shear (hoop + pressure); undefined where the yield is not known */
  readonly ofYield?: number;
}

/**
 * Pressure, press force, holding torque and hoop stress of an interference fit, while everything is elastic.
 * @throws RangeError where hub or shaft has no wall, or a size is not positive
 * @source Lame, thick cylinders; for a solid shaft the inside is zero
 */
export function pressFit({ interference, diameter: d, outside, inside = 0, length, friction, hub, shaft }: PressFit): Pressed {
  if (!(d > 0 && outside > d && inside >= 0 && inside < d && length > 0))
    throw new RangeError(`outside ${outside}, joint ${d}, inside ${inside}, length ${length} mm: each must be larger than the one within it`);
  const ofHub = (outside ** 2 + d ** 2) / (outside ** 2 - d ** 2);
  const ofShaft = (d ** 2 + inside ** 2) / (d ** 2 - inside ** 2);
  const pressure = Math.max(0, interference / (d * ((ofHub + hub.poisson) / hub.modulus + (ofShaft - shaft.poisson) / shaft.modulus)));
  const force = friction * pressure * Math.PI * d * length;
  const hoop = pressure * ofHub;
  return { pressure, force, torque: (force * d) / 2 / 1000, hoop, ...(hub.yield !== undefined && { ofYield: (hoop + pressure) / hub.yield }) };
}

/**
 * Degrees by which a hub is warmed (or, with the shaft's expansion, a shaft chilled) so that it falls on.
 * @param interference largest, mm on diameter
 * @param gap clearance wanted while it goes on, mm on diameter
 * @param alpha millionths a degree
 * @source linear expansion: (interference + gap) / (alpha d)
 * @example degreesToAssemble(0.03, 0.03, 50, 12) // 100
 */
export const degreesToAssemble = (interference: number, gap: number, diameter: number, alpha: number): number =>
  (interference + gap) / (alpha * 1e-6 * diameter);

/** Of what its expansion at room says a metal shrinks by less the colder it is: this share is missing at liquid nitrogen. @source cryogenic tables of steel (0.20 % from 20 to -196 C), aluminium (0.39 %), brass (0.35 %), from memory */
const MISSING = 0.21;
const TO_NITROGEN = 216;

/** Degrees that a shaft is chilled by to leave a gap, its expansion falling on the way; Infinity where no cold does it. mm, millionths a degree at room. @source as above */
export function degreesToChill(interference: number, gap: number, diameter: number, alpha: number): number {
  const need = (interference + gap) / (alpha * 1e-6 * diameter);
  const k = MISSING / TO_NITROGEN;
  const under = 1 - 4 * k * need;
  return under < 0 ? Infinity : (1 - Math.sqrt(under)) / (2 * k);
}
