/** The public face of the core: what screens, server and tests may use. */
export * from './quantity';
export * from './finding';
export * from './standards';
export * from './document';
export * from './shop';
export * from './drawing';
export * from './mechanics';
export { dialMarks, feedFor, finishOf, gearTrains, type GearsAsked, type GearTrain, halfNuts, taylor, toolLife, tpiOf, usualWheels } from './cutting';
export * from './stock';
export * from './holding';
export * from './route';
export * from './sizing';
export * from './inspection';
export * from './plan';
export * from './exchange';
export * from './handbook';
