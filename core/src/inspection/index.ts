export { inspect, readingOf, standsAs, type Verdict } from './inspect';
export { sampleOf, type Together, togetherOf } from './together';
export { checkDue, feelsOf, isGood, placesRound, readableBy, type Round, roundOf } from './byGauge';
