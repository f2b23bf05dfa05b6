export { Assumptions, holdChoice, holdingKey, holdingName } from './Assumptions';
export { LatheEditor } from './LatheEditor';
export { limitsSaid, sizeSaid } from './SizeSaid';
