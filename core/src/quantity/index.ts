export { define, type Formula } from './define';
export { parseDegrees } from './degrees';
export {
  angle,
  cuttingSpeed,
  diameter,
  feed,
  type Figure,
  force,
  type Inputs,
  length,
  power,
  pressure,
  type Quantity,
  type QuantityKind,
  ratio,
  say,
  type Sentence,
  spindleSpeed,
  temperature,
  time,
} from './figure';
export {
  type DecimalMark,
  decimalMark,
  readDecimalsBehind,
  write,
  writeClock,
  writeExact,
  writeMinutes,
  writePlain,
  writeSentence,
  writeWithUnit,
} from './format';
export { figure, type FormulaName, formulaNamed, formulas } from './formulas';
export { bareDegrees, type Degrees, fahrenheit, parseHeat, parseTemperature, parseTime } from './heat';
export { LONGEST, MM_PER_INCH, type Parsed, parseLength, readDeviations, readLength, type Units } from './length';
export { normalBelow } from './normal';
export { isZero, nearestFraction, readNumber } from './number';
export { remember } from './remember';
export { roundTo, tidy } from './rounding';
export { alike, atLeast, atMost, exceeds, fallsShort, PLACE, ROUNDING, SNAPPED } from './compare';
export { atReference, degreesToAssemble, growth, REFERENCE, whenWarm } from './expansion';
export { surfaceAt, turnsFor } from './turning';
export { isFigure } from './figure';
export { studentOf } from './spreadFormulas';
