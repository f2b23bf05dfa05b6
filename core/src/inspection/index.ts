export { inspect, type Verdict } from './inspect';
