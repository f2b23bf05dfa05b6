export { awaySteps } from './away';
export { fittedOne } from './fitted';
