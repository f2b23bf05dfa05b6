export type { Advice } from './advice';
export { advise, adviseWith, eventsOf } from './advise';
export { leadingDigits, readCelsius, readReading } from './readReading';
