export { applyEdits } from './applyEdits';
export { findingKey, gravestFirst, subjectOf } from './finding';
export type { Edit, Finding, Mend, Reason, Severity } from './finding';
