export { type Done, inOrder, type KnownOrder } from './inOrder';
export { boundsOfStep, factsOf, mayMove } from './moves';
export { comesBefore, type OrderRule, placed, preferredOf, type SetupFacts } from './rules';
