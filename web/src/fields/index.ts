export { Assumptions, holdChoice, holdEdits, holdingKey, holdingName } from './Assumptions';
export { FormField } from './FormField';
export { aCount, aLength } from './grammar';
export { TheLathe } from './TheLathe';
export { limitsSaid, sizeSaid } from './SizeSaid';
export { bothScales, Warmth } from './Warmth';
