export { finishFeed, loadOf, type Place, roughDepth, roughFeed, speedFor, speedShares, type Work } from './data';
export { feedFor, finishOf } from './finish';
export { dialMarks, gearTrains, type GearsAsked, type GearTrain, halfNuts, tpiOf, usualWheels } from './gears';
export { taylor, toolLife } from './toolLife';
