export { inspect, readingOf, type Verdict } from './inspect';
