/** Straight, or crossed with raised points, as a wheel presses them. */
export type KnurlForm = 'straight' | 'diamond';

/**
 * Diameter to turn before a knurl is pressed, mm: the metal rises by half of the pitch (straight) or two thirds of it (diamond, raised points). The blank is trimmed to a whole
 * number of teeth. Metal differs: try the first one.
 * @throws RangeError for a pitch that is not positive or too coarse for the diameter
 * @source DIN 82 forms RAA and RGE: d2 = d1 - 0.5 t, d1 - 0.67 t, profile angle 90 degrees; from memory
 */
export function knurlBlank(finished: number, pitch: number, form: KnurlForm): { readonly blank: number; readonly teeth: number } {
  if (!(pitch > 0 && finished > 3 * pitch))
    throw new RangeError(`a knurl of pitch ${pitch} mm on ${finished} mm: pitch over 0 and under a third of the diameter`);
  const grows = (form === 'straight' ? 0.5 : 0.67) * pitch;
  const teeth = Math.round((Math.PI * (finished - grows)) / pitch);
  return { blank: Math.round(((teeth * pitch) / Math.PI) * 1000) / 1000, teeth };
}
