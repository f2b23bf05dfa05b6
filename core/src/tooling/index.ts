export { substitutes } from './substitutes.table';
export { cuts, insideBars, toolForThread } from './threadTools';
export { type BarOut, giveOfBar, giveOfBlade } from './toolSpring';
export { bevels, groovers, rounds } from './edges';
