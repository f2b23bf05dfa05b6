export { closesIn } from './closesIn';
export { awayOnBar, awaySteps } from './away';
export { fittedOne, mateName } from './fitted';
