export { type How, simulated, type SimulatedLathe, type Truth } from './lathe';
export { randomFrom } from './random';
