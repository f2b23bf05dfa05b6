export { chooseBar, largestDiameter, surfaceStays } from './bar';
export { gripOf } from './grip';
export { type Held, type HoldingChoice, partsOf, type Support, takeHolding, type ToKeep, weighHoldings } from './hold';
export { type CutFrom, likeBars, nest, type Nesting } from './nesting';
export { type Runout, runoutOf, type RunoutPart, SAME_CHUCKING } from './runout';
export { squeezeOf, type Wall } from './squeeze';
export type { SupportKind } from './supports';
export { asBar, parseBeyond, STARTED, type StartedPiece, startedPiece } from './started';
