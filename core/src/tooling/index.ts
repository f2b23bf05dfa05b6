export { type DrawnTool, drawnTool } from './drawnTool';
export { substitutes } from './substitutes.table';
export { cuts, insideBars, toolForThread } from './threadTools';
export { type BarOut, giveOfBar, giveOfBlade } from './toolSpring';
export {
  alongHole,
  centreOutlines,
  clearsCentre,
  entersFrom,
  isPointed,
  type Outline,
  outlineOf,
  outOfHolder,
  type Presented,
  shankOf,
} from './outline';
export { bevels, groovers, isCountersink, rounds } from './edges';
