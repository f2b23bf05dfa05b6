export { finishedEdges } from './finished';
export { combine } from './combine';
export { area, polygon, rectangle, type Region, volume } from './region';
export { chamfered, drilled, faced, regionOf, silhouetteOf, turned } from './sweep';
export { turnedRound } from './turnedRound';
