export { partsOf } from './against';
export { alreadyMade } from './alreadyMade';
export { chooseBar, keptOfBar, largestDiameter, surfaceStays, sweptBy } from './bar';
export { gripOf } from './grip';
export type { Held, ToKeep } from './held';
export { type HoldingChoice, type Support, takeHolding, weighHoldings } from './hold';
export { likeBars, nest, type Nesting } from './nesting';
export { runoutOf, type RunoutPart } from './runout';
export { asBar, parseBeyond, STARTED, startedPiece, type StartedPiece } from './started';
