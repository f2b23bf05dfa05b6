import type { Part } from '../drawing';
import type { Finding } from '../finding';
import type { HoldingChoice } from '../holding';
import type { ToGet } from '../operations';
import type { Route } from './route';

export interface Plan {
  /** how far it has got; the screen says what is still to come */
  readonly reached: 'drawing' | 'holding' | 'route' | 'proof';
  readonly part: Part;
  /** the first is the one in hand */
  readonly routes: readonly Route[];
  readonly holdings: readonly HoldingChoice[];
  /** (cost - proven lower bound) / cost; 1 while nothing is proven */
  readonly gap: number;
  readonly toGet: readonly ToGet[];
  readonly findings: readonly Finding[];
}
