export { finishedEdges } from './finished';
export { area, combine, polygon, rectangle, type Region, volume } from './region';
export { chamfered, drilled, faced, regionOf, turned } from './sweep';
export { turnedRound } from './turnedRound';
