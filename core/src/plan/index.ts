export { type BenchState, benchState, sizedBy } from './benchState';
export { changedSinceIssue, issued } from './issue';
export { plan, planning } from './planning';
export type { Plan } from './types';
