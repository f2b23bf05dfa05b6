export { type BarChoice, chooseBar, largestDiameter, surfaceStays } from './bar';
export { asBar, parseBeyond, type StartedPiece, STARTED, startedPiece } from './started';
export { type Held, type HoldingChoice, type Support, takeHolding, weighHoldings } from './hold';
