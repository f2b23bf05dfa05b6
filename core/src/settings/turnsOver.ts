import { sweptBy } from '../holding';
import type { Facts } from '../operations';
import { mmOf } from '../shop';

/** What the stock fills when it turns, mm; of a piece already started as it was measured. */
export const turnsOver = ({ bar, started }: Pick<Facts, 'bar' | 'started'>): number => (started ? mmOf(bar.across) : sweptBy(bar));
