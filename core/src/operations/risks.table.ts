import type { Finding } from '../finding';

/**
 * What a danger that another way of making the part need not have counts when ways are weighed, minutes: a caution about so much of trouble or care, a stop more than
 * any honest way round it. Whoever sees the danger says that it weighs; what is only told costs nothing, so that a message never chooses the route by itself.
 * @source judgement
 */
export const RISK: Readonly<Record<Finding['severity'], number>> = { caution: 6, stop: 60, note: 0 };
