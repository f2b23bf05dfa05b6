export { awaySteps } from './away';
export { fittedOne, mateName } from './fitted';
