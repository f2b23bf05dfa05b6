export { centreFor } from './centres';
export { drillNamed } from './drills';
export { generalTolerance } from './generalTolerances';
export { toleranceClass } from './limitsAndFits';
export { materialOf } from './materials';
export { type Material, materials } from './materials.table';
export { type ExternalThread, readExternalThread } from './threads';
export { threadUndercut } from './undercuts';
