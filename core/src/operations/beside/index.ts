export { closesIn } from './closesIn';
export { awayOnBar, awaySteps, wantsBar } from './away';
export { fittedOne, mateName } from './fitted';
