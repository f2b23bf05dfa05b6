import type { Reason } from '../finding';
import type { Figure } from '../quantity';
import type { SizedKind } from './belief';

/**
 * How a size stands as it was measured last: 'more' is to come; it is 'in'; 'past' saving; 'short' of its limits with no cut that brings it nearer; or 'notTold' by
 * the gauge in hand.
 */
export type Stands = 'more' | 'in' | 'past' | 'short' | 'notTold';

export interface Advice {
  readonly stands: Stands;
  readonly next: 'cut' | 'twoCuts' | 'springCut' | 'wait' | 'measure' | 'changeGauge' | 'indexTip' | 'stop' | 'ask';
  readonly dial?: Figure;
  readonly readout?: Figure;
  /** cold; deviation is always set, one standard deviation */
  readonly expects: Figure;
  /** what the gauge shows as warm as the piece is now */
  readonly reads?: Figure;
  readonly instead?: Advice;
  readonly chanceIn: number;
  readonly chanceShort: number;
  readonly chancePast: number;
  readonly because: readonly Reason[];
  /** what a reading that is asked about was likely to say */
  readonly meant?: Figure;
  /** what the cross dial seems to read, where the shop says the other */
  readonly dialReads?: 'radius' | 'diameter';
  /** the last reading at 20 C */
  readonly cold?: Figure;
  readonly aim: Figure;
  readonly kind: SizedKind;
}
