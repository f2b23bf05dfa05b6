export { couldBeMade } from './couldBeMade';
export { confirmed, fieldText, withField } from './fields';
export {
  boreGaugeFor,
  doubtOf,
  takesForm,
  gaugeFor,
  colletFor,
  grips,
  holdingOf,
  caliperOf,
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
export { learnBacklash, learnCollars, learnDial, type Learned, learnRunout } from './learn';
export { furnished, type Start, starts } from './furnished';
export { midShop, readoutShop } from './otherShops';
export { chatterKept, minutesKept, springKept } from './learned';
export { overBallsOf, overWiresOf } from './overWires';
export { coldBy, coldFigureBy, GAUGE_ALPHA, readBy, readsOver, type TakenIn, warmthOf } from './readBy';
export { type Grade, gradeOf, holdingGrades, withGrade } from './grades';
export { problemsOf, shopProblems } from './problems';
export { startingShop } from './startingShop';
export { itemsOf, type ShopField, type ShopItem, type ShopList, type ShopTable, shopTables, tableOf } from './tables';
export { type Way, wayOf, ways } from './ways.table';
export { practice } from './practice.table';
export { fillHoldings, fillTools } from './fill';
