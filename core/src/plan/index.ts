export { type Alternative, alternatives, provedAlternative, shapeOf } from './alternatives';
export { type BenchState, benchState, sizedBy } from './benchState';
export { begun, type Change, changesOf, nameOf } from './changes';
export { changedSinceIssue, issued } from './issue';
export { barChoice, type SharedBar, sharedBar } from './sharedBar';
export { plan, planning } from './planning';
export { openStops, type Progress, progressOf, stagesOf } from './progress';
export type { Plan } from './types';
export { type Cause, causesOf, type Symptom, symptoms, symptomsOf } from './diagnosis';
