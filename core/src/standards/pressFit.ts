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
 * By how much the bore of a bush closes when it is pressed in, mm on diameter, while everything is elastic.
 * @source Lame, thick cylinders: a hollow shaft under the pressure of its joint
 */
export function boreCloses(fit: PressFit & { readonly inside: number }): number {
  const { pressure } = pressFit(fit);
  const { diameter: d, inside, shaft } = fit;
  return (2 * pressure * inside * d ** 2) / (shaft.modulus * (d ** 2 - inside ** 2));
}

/** What a hub may be warmed to, degrees C, by what it is. @source shrink, common practice */
export const warmCaps = {
  plain: { words: 'a plain part', celsius: 300 },
  bearing: { words: 'a bearing', celsius: 110 },
  aluminium: { words: 'heat-treated aluminium', celsius: 150 },
  hardened: { words: 'a hardened part, tempered at 200', celsius: 180 },
} as const;

/**
 * The cap of a part by its material, and whether it is hard.
 * @example warmestOf('aluminium', false).celsius // 150
 */
export const warmestOf = (material: string, hard: boolean): { readonly words: string; readonly celsius: number } =>
  hard ? warmCaps.hardened : material.startsWith('aluminium') && material !== 'aluminium-bronze' ? warmCaps.aluminium : warmCaps.plain;

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
