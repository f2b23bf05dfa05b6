/** How a bar sheds heat to what is round it. W/m2 K. */
export const SHEDS = {
  /** still air, about 5 by convection and the rest by radiation of a dull or dirty surface, or of a bright one */
  dull: 9.7,
  bright: 6.3,
  /** the spindle turning, or a fan */
  moving: 30,
  /** coolant run over it, or dunked and stirred */
  flood: 500,
} as const;

/**
 * Seconds in which what a body holds beyond its surroundings falls to 1/e, taken as warm throughout.
 * @param volume mm3; @param area mm2 that sheds heat; @param density kg/m3; @param heat J/kg K
 * @throws RangeError for what is not above zero
 * @source lumped capacity, any textbook of heat transfer; holds while h V / (A k) is under 0.1, for metal bars far under it
 */
export function coolingConstant(
  body: { readonly volume: number; readonly area: number; readonly density: number; readonly heat: number },
  sheds: number,
): number {
  const { volume, area, density, heat } = body;
  if (!(volume > 0 && area > 0 && density > 0 && heat > 0 && sheds > 0))
    throw new RangeError(`a body of ${volume} mm3 and ${area} mm2 that sheds ${sheds}`);
  return (density * heat * (volume / area)) / 1000 / sheds;
}

/**
 * Temperature after some seconds.
 * @example cooledTo(100, 20, 50, 0) // 100
 */
export const cooledTo = (from: number, room: number, constant: number, seconds: number): number =>
  room + (from - room) * Math.exp(-seconds / constant);

/**
 * Seconds from one temperature to another. @throws RangeError where the surroundings never bring it there
 * @example coolingTime(60, 40, 20, 100) // 100 * Math.LN2
 */
export function coolingTime(from: number, to: number, room: number, constant: number): number {
  const [now, wanted] = [from - room, to - room];
  if (Math.abs(now) <= Math.abs(wanted) && now * wanted >= 0) return 0;
  if (wanted === 0 || !(now / wanted > 1)) throw new RangeError(`${from} to ${to} degrees in a room of ${room}`);
  return constant * Math.log(now / wanted);
}
