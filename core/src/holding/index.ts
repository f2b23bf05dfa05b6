export { type BarChoice, chooseBar, largestDiameter, surfaceStays } from './bar';
export { type Held, type HoldingChoice, type Support, takeHolding, weighHoldings } from './hold';
