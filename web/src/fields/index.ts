export { Assumptions, holdingName } from './Assumptions';
export { LatheEditor } from './LatheEditor';
export { sizeSaid } from './SizeSaid';
