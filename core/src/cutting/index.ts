export { finishFeed, loadOf, type Place, roughDepth, roughFeed, speedFor } from './data';
export { dialMarks, gearTrains, type GearsAsked, type GearTrain, tpiOf } from './gears';
