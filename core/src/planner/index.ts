export { type Alternative, alternatives, provedAlternative, shapeOf } from './alternatives';
export { choicesAbout, choicesOf, pinOf } from './choicesOf';
export { costOf } from './cost';
export { issued } from './issue';
export { violations } from './judge';
export type { Plan } from './plan';
export { plan, planning } from './planning';
export type { Route } from './route';
export { barChoice, type SharedBar, sharedBar } from './sharedBar';
