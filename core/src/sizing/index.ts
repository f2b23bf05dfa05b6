export { sizeAdvice } from './advice';
export type { Advice, Stands } from './types';
export { beliefOf, type Event, type SizedKind, type Sizing, towardsOf } from './belief';
export { advise, type AdviseWith, adviseWith, dialFound, dialShare, gaugeAsked, lengthDial, eventsOf, sizingWith } from './advise';
export {
  afterCut,
  afterReading,
  type Belief,
  believed,
  comesOff,
  type Forecast,
  type Happened,
  prior,
  type Priors,
  sizeAfter,
  sizeNow,
} from './estimate';
export { dialSaid } from './dialSaid';
export { stood } from './stands';
export { type DialQuestion, questionAsJob } from './questionAsJob';
export { leadingDigits, readCelsius, readWarmth, readReading, wholeReading } from './readReading';
