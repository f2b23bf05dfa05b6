export { closesIn } from './closesIn';
export { awayBefore, awayOnBar, awaySteps, boltedBy } from './away';
export { fittedOne, mateName } from './fitted';
