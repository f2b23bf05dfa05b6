export { boreGaugeFor, doubtOf, gaugeFor, grips, holdingOf, insideGaugeFor, isChuck, machineOf, mmOf, proves, speedsOf, toolOf } from './items';
export { startingShop } from './startingShop';
export { type Way, wayOf, ways } from './ways.table';
