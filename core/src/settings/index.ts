export { type Chucking, chuckingOf, chuckingsOf } from './chuckings';
export { type BarSheet } from './barSheet';
export type { Layout, Stage } from './layout';
export { widestOfFaces } from './held';
export { layoutsOf } from './layouts';
export { reachedByBoth } from './reach';
export { type Begins, type MadeSetting, withRemovals } from './setting';
export type { LedgerLine, Setup } from './setup';
export type { LayoutName } from './setup';
