export type { Advice } from './advice';
export { advise, adviseWith, eventsOf } from './advise';
