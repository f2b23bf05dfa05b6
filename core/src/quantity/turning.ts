/** Cutting speed (m/min) at a diameter (mm) that turns so fast (rev/min). @source definition of cutting speed @example surfaceAt(25, 1000) // 78.53981633974483 */
export const surfaceAt = (diameter: number, turns: number): number => (Math.PI * diameter * turns) / 1000;

/** Revolutions a minute at which a diameter (mm) has a cutting speed (m/min). @source definition of cutting speed @example turnsFor(78.53981633974483, 25) // 1000 */
export const turnsFor = (surface: number, diameter: number): number => (1000 * surface) / (Math.PI * diameter);
