/* Nearness: sums of decimals are not exact, so that no comparison of sizes is bare. Units are those of what is compared. */

/** What adding decimals is off by: equal but for it is equal. */
export const ROUNDING = 1e-9;
/** The same place on a part, mm: far finer than any drawing, far coarser than rounding. */
export const PLACE = 1e-6;
/** What outlines are snapped to, mm. */
export const SNAPPED = 1e-4;

/** Equal, but for `within`. @example alike(0.1 + 0.2, 0.3) // true */
export const alike = (a: number, b: number, within: number = PLACE): boolean => Math.abs(a - b) < within;

/** Not over, but for `within`. @example atMost(0.1 + 0.2, 0.3) // true */
export const atMost = (a: number, b: number, within: number = ROUNDING): boolean => a <= b + within;

/** Not under, but for `within`. @example atLeast(0.3, 0.1 + 0.2) // true */
export const atLeast = (a: number, b: number, within: number = ROUNDING): boolean => a >= b - within;

/** Over by more than `within`. @example exceeds(0.1 + 0.2, 0.3) // false */
export const exceeds = (a: number, b: number, within: number = ROUNDING): boolean => a > b + within;

/** Under by more than `within`. @example fallsShort(0.3, 0.1 + 0.2) // false */
export const fallsShort = (a: number, b: number, within: number = ROUNDING): boolean => a < b - within;
