export { Assumptions, holdChoice, holdEdits, holdingKey, holdingName } from './Assumptions';
export { LatheEditor } from './LatheEditor';
export { limitsSaid, sizeSaid } from './SizeSaid';
export { bothScales, Warmth } from './Warmth';
