export {
  boreGaugeFor,
  doubtOf,
  forms,
  gaugeFor,
  grips,
  holdingOf,
  insideGaugeFor,
  isChuck,
  machineOf,
  mmOf,
  plannable,
  proves,
  sizeOf,
  sizeUnread,
  speedsOf,
  toolOf,
} from './items';
export { confirmed, fieldText, withField } from './fields';
export { midShop, readoutShop } from './otherShops';
export { problemsOf, shopProblems } from './problems';
export { startingShop } from './startingShop';
export { type Way, wayOf, ways } from './ways.table';
export { type ShopField, holdingWords, itemsOf, type ShopItem, type ShopList, type ShopTable, shopTables, tableOf } from './tables';
export { type Learned, learnBacklash, learnCollars, learnDial, learnRunout } from './learn';
export { overWiresOf } from './overWires';
