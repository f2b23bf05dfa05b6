export { closesIn } from './closesIn';
export { awayBefore, awayOnBar, awaySteps, boltedBy, slitBeforeFinishing } from './away';
export { fittedOne, mateName } from './fitted';
export { pushOf } from './join';
