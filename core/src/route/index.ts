export { barSheet } from './barSheet';
export { chosenIn } from './choices';
export { choicesOf } from './choicesOf';
export type { Context, ToGet } from './context';
export { leftSetup, rightSetup } from './makeRoute';
export { grippingOf, reachOf } from './reach';
export { severingOf } from './sever';
export type { Pass, Route, Setup, Step } from './types';
export { type Verb, verbs } from './verbs.table';
