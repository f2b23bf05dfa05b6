import { furnished, startingShop } from '@obra/core/shop';

/** What stands in a shop of which nobody has said anything yet; loaded only where it is wanted. */
export const beginningShop = () => furnished(startingShop());
