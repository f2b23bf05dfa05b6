export { inspect, readingOf, type Verdict } from './inspect';
export { sampleOf, type Together, togetherOf } from './together';
