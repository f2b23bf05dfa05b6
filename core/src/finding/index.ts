export { applyEdits } from './applyEdits';
export { findingKey } from './finding';
export type { Edit, Finding, Mend, Reason, Severity } from './finding';
