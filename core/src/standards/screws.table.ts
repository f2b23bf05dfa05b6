/* Screws: holes and heads. ISO 273, ISO 4762, ISO 10642, DIN 974-1 in mm; ASME B18.2.8, B18.3 and customary counterbores in inches; from memory. */
/* prettier-ignore */
/** Nominal, close (fine), normal (medium), free (coarse) clearance hole. ISO 273. */
export const metricClearance: readonly (readonly [d: number, close: number, normal: number, free: number])[] = [
  [1.6, 1.7, 1.8, 2], [2, 2.2, 2.4, 2.6], [2.5, 2.7, 2.9, 3.1], [3, 3.2, 3.4, 3.6], [4, 4.3, 4.5, 4.8], [5, 5.3, 5.5, 5.8], [6, 6.4, 6.6, 7], [8, 8.4, 9, 10],
  [10, 10.5, 11, 12], [12, 13, 13.5, 14.5], [14, 15, 15.5, 16.5], [16, 17, 17.5, 18.5], [18, 19, 20, 21], [20, 21, 22, 24], [22, 23, 24, 26], [24, 25, 26, 28],
  [27, 28, 30, 32], [30, 31, 33, 35], [33, 34, 36, 38], [36, 37, 39, 42],
];
/* prettier-ignore */
/** Size, drills for a close, normal and free hole. ASME B18.2.8. */
export const inchClearance: readonly (readonly [size: string, close: string, normal: string, free: string])[] = [
  ['0', '#51', '#48', '3/32'], ['1', '#46', '#43', '#37'], ['2', '3/32', '#38', '#32'], ['3', '#36', '#32', '#30'], ['4', '#31', '#30', '#27'], ['5', '9/64', '5/32', '11/64'],
  ['6', '#23', '#18', '#13'], ['8', '#15', '#9', '#3'], ['10', '#5', '#2', 'letter B'], ['1/4', '17/64', '9/32', '19/64'], ['5/16', '21/64', '11/32', '23/64'],
  ['3/8', '25/64', '13/32', '27/64'], ['7/16', '29/64', '15/32', '31/64'], ['1/2', '17/32', '9/16', '39/64'], ['5/8', '21/32', '11/16', '47/64'],
  ['3/4', '25/32', '13/16', '29/32'], ['7/8', '29/32', '15/16', '1 1/32'], ['1', '1 1/32', '1 3/32', '1 5/32'],
];
/* prettier-ignore */
/** Cap screws with a hexagon socket: nominal, head diameter and height (ISO 4762), counterbore (DIN 974-1, row 1). */
export const metricCapHeads: readonly (readonly [d: number, head: number, height: number, counterbore: number])[] = [
  [3, 5.5, 3, 6.5], [4, 7, 4, 8], [5, 8.5, 5, 10], [6, 10, 6, 11], [8, 13, 8, 15], [10, 16, 10, 18], [12, 18, 12, 20], [14, 21, 14, 24], [16, 24, 16, 26],
  [20, 30, 20, 33], [24, 36, 24, 40],
];
/* prettier-ignore */
/** Size, head diameter and height (ASME B18.3), counterbore (customary). */
export const inchCapHeads: readonly (readonly [size: string, head: number, height: number, counterbore: number])[] = [
  ['4', 0.183, 0.112, 0.21875], ['6', 0.226, 0.138, 0.28125], ['8', 0.27, 0.164, 0.3125], ['10', 0.312, 0.19, 0.375], ['1/4', 0.375, 0.25, 0.4375],
  ['5/16', 0.469, 0.312, 0.53125], ['3/8', 0.562, 0.375, 0.625], ['7/16', 0.656, 0.438, 0.71875], ['1/2', 0.75, 0.5, 0.8125], ['5/8', 0.938, 0.625, 1],
  ['3/4', 1.125, 0.75, 1.1875],
];
/** Countersunk, 90 degrees: nominal, theoretical head diameter. ISO 10642. */
export const metricFlatHeads: readonly (readonly [d: number, head: number])[] = [
  [3, 6.72],
  [4, 8.96],
  [5, 11.2],
  [6, 13.44],
  [8, 17.92],
  [10, 22.4],
  [12, 26.88],
  [16, 33.6],
  [20, 40.32],
];
/** Countersunk, 82 degrees: size, theoretical head diameter. ASME B18.3. */
export const inchFlatHeads: readonly (readonly [size: string, head: number])[] = [
  ['4', 0.255],
  ['6', 0.307],
  ['8', 0.359],
  ['10', 0.411],
  ['1/4', 0.531],
  ['5/16', 0.656],
  ['3/8', 0.781],
  ['5/8', 1.188],
  ['3/4', 1.438],
];
