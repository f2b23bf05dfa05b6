export {
  edgeOf,
  faceDepth,
  finishFeed,
  leastDepth,
  leastDepthOf,
  leastFeed,
  loadOf,
  inCut,
  minutesInCut,
  passivePush,
  type CuttingPlace,
  roughAsked,
  roughFeeds,
  speedFor,
  speedShares,
  type CutKind,
} from './data';
export { drillFeed, peckDepths } from './drilling';
export { feedFor, finishOf } from './finish';
export { dialMarks, gearTrains, halfNuts, tpiOf, usualWheels } from './gears';
export { bestFeed, type CutAsked, type CutWindow, type Grip, gripHolds, JAWS_LOSE, type Limited, limitedAt, usesOf, windowOf } from './limits';
export { threadDrive, type ThreadDrive } from './threadDrive';
export { firstPass, threadInfeeds } from './threadPasses';
export { edges, taylor, toolLife } from './toolLife';
