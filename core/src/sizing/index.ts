export { sizeAdvice } from './advice';
export { advise, adviseWith, type AdviseWith, dialFound, dialShare, gaugeAsked, lengthDial, sizingWith } from './advise';
export { beliefOf, type Event, type SizedKind, type Sizing, towardsOf } from './belief';
export { dialSaid } from './dialSaid';
export { comesOff, sizeAfter, sizeNow } from './estimate';
export { questionAsJob } from './questionAsJob';
export { leadingDigits, readReading, readWarmth, wholeReading } from './readReading';
export { stood } from './stands';
export type { Advice } from './types';
