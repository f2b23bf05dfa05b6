export { barSheet } from './barSheet';
export { chosenIn } from './choices';
export { choicesOf } from './choicesOf';
export type { Context, ToGet } from './context';
export { grippingOf, leftSetup, reachOf, rightSetup } from './makeRoute';
export { severingOf } from './sever';
export type { Pass, Route, Setup, Step } from './types';
export { type Verb, verbs } from './verbs.table';
