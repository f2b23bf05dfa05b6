export { combine, sameRegion } from './combine';
export { type Convex, hullOf, movedBy, overlapOf, sweptAlong } from './contact';
export { finishedEdges } from './finished';
export { lessSwept, outsideOf } from './outside';
export { area, boundsOf, edgesOf, perimeterOf, polygon, rectangle, type Region, shifted, volume } from './region';
export { sectionsOf, thinnestOf } from './sections';
export { centred, chamfered, drilled, noseCorner, regionOf, silhouetteOf, threaded, turned, turnedToShoulder } from './sweep';
export { turnedRound } from './turnedRound';
