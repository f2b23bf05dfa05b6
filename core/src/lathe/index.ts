export { type SimulatedLathe, simulated, type Truth } from './lathe';
export { randomFrom } from './random';
