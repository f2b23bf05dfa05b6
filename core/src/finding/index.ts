export { applyEdits } from './applyEdits';
export { type Edit, type Finding, findingKey, gravestFirst, type Mend, type Reason, type Severity, subjectOf } from './finding';
