export { type Alternative, alternatives, provedAlternative, shapeOf } from './alternatives';
export { changedSinceIssue, issued } from './issue';
export { barChoice, type SharedBar, sharedBar } from './sharedBar';
export { plan, planning } from './planning';
export type { Plan } from './types';
