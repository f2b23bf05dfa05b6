import { kept } from '../data/local';

const KEPT = 'obra-cautioned';

/** Whether this browser was told on first start that the machine is its person's. */
export const cautioned = (): boolean => kept.get(KEPT) !== null;
export const caution = (): boolean => kept.set(KEPT, new Date().toISOString());
