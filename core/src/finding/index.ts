export { applyEdits } from './applyEdits';
export { type Edit, type Finding, findingKey, gravestFirst, type Mend, once, type Reason, type Severity, subjectsOf } from './finding';
export { codes, type FindingCode } from './codes.table';
export { type RuleName, rules } from './rules.table';
