export { type Advice, type Event, beliefOf, sizeAdvice, type Sizing } from './advice';
export { advise, adviseWith, eventsOf } from './advise';
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
export { leadingDigits, readCelsius, readReading } from './readReading';
