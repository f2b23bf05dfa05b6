export { ordersAsked } from './asked';
export { barChecks } from './barChecks';
export { withMends } from './betterHoldings';
export { nothingInShop, unknownMaterial } from './lacking';
export { lengthChecks } from './lengthChecks';
export { orphans } from './orphans';
export { shopChecks } from './shopChecks';
export { speedChecks } from './speedChecks';
export { wornTips } from './wornTips';
