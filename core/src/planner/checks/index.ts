export { lengthChecks } from './lengthChecks';
export { shopChecks } from './shopChecks';
export { speedChecks } from './speedChecks';
export { wornTips } from './wornTips';
