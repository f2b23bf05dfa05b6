export { applyEdits } from './applyEdits';
export { type Edit, type Finding, findingKey, gravestFirst, type Mend, type Reason, type Severity, subjectOf } from './finding';
export { codes, type FindingCode, type Stage } from './codes.table';
export { type RuleName, rules } from './rules.table';
