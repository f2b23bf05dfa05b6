/** The temperature that sizes are for, degrees C. @source ISO 1 */
export const REFERENCE = 20;

/** Growth of a size (mm) by a change of temperature, `alpha` in millionths a degree. @source linear expansion @example growth(100, 12, 10) // 0.012 */
export const growth = (size: number, alpha: number, degrees: number): number => size * alpha * 1e-6 * degrees;

/** What a size reads at 20 degrees C, mm, from a reading at `celsius`. @source ISO 1 @example atReference(25, 11.5, 40) // 24.99425 */
export const atReference = (reading: number, alpha: number, celsius: number): number => reading - growth(reading, alpha, celsius - REFERENCE);

/** What a size of 20 degrees C is when it is as warm as `celsius`, mm. @source ISO 1 @example whenWarm(25, 11.5, 40) // 25.00575 */
export const whenWarm = (cold: number, alpha: number, celsius: number): number => cold + growth(cold, alpha, celsius - REFERENCE);
