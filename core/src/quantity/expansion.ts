/** The temperature that sizes are for, degrees C. @source ISO 1 */
export const REFERENCE = 20;

/** Growth of a size (mm) by a change of temperature, `alpha` in millionths a degree. @source linear expansion @example growth(100, 12, 10) // 0.012 */
export const growth = (size: number, alpha: number, degrees: number): number => size * alpha * 1e-6 * degrees;

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

/** What a size reads at 20 degrees C, mm, from a reading at `celsius`. @source ISO 1 @example atReference(25, 11.5, 40) // 24.99425 */
export const atReference = (reading: number, alpha: number, celsius: number): number => reading - growth(reading, alpha, celsius - REFERENCE);

/** What a size of 20 degrees C is when it is as warm as `celsius`, mm. @source ISO 1 @example whenWarm(25, 11.5, 40) // 25.00575 */
export const whenWarm = (cold: number, alpha: number, celsius: number): number => cold + growth(cold, alpha, celsius - REFERENCE);
