export { type BenchState, benchState, sizedBy } from './benchState';
export { changedSinceIssue, issued } from './issue';
export { plan, planning } from './planning';
export { openStops, type Progress, progressOf, stagesOf } from './progress';
export type { Plan } from './types';
