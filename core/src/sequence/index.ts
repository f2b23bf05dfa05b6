export { type Done, inOrder, type KnownOrder } from './inOrder';
export { boundsOfStep, factsOf, mayMove } from './moves';
export { comesBefore, placed, preferredOf } from './rules';
