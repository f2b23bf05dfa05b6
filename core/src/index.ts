/** The public face of the core: what screens, server and tests may use. */
export * from './quantity';
export * from './ref';
export * from './finding';
export * from './standards';
export * from './document';
export * from './shop';
export * from './drawing';
export * from './mechanics';
export {
  bestFeed,
  type CutAsked,
  type CutWindow,
  dialMarks,
  edgeOf,
  feedFor,
  finishOf,
  gearTrains,
  type GearsAsked,
  type GearTrain,
  halfNuts,
  loadOf,
  roughAsked,
  roughFeeds,
  speedFor,
  taylor,
  toolLife,
  tpiOf,
  usualWheels,
  usesOf,
  windowOf,
} from './cutting';
export * from './stock';
export * from './holding';
export * from './route';
export * from './sizing';
export * from './inspection';
export * from './plan';
export * from './bench';
export * from './exchange';
export * from './handbook';
