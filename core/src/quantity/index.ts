export * from './figure';
export { remember } from './remember';
export { atOrBelow, figure, floorTo, formulaNamed, formulas, roundTo, tidy } from './formulas';
export { define, type Formula } from './define';
export type { FormulaName } from './formulas';
export { nearestFraction, readNumber } from './number';
export { LONGEST, MM_PER_INCH, parseLength, readDeviations, readLength } from './length';
export type { Parsed, Units } from './length';
export { write, writeExact, writeMinutes, writeSentence, writeWithUnit } from './format';
