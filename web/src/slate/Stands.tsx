import type { Quantity, Units } from '@obra/core/quantity';
import { FigureNumber } from './FigureNumber';

/** A number that stands as it is: pressed, it says with all its digits what it is and which cell or entry it comes from. */
export function Stands({
  of,
  from,
  units,
  withUnit = true,
}: {
  readonly of: Quantity;
  readonly from: string;
  readonly units: Units;
  readonly withUnit?: boolean;
}) {
  return <FigureNumber figure={{ ...of, formula: 'asItStands', of: { value: of.value }, source: from }} units={units} withUnit={withUnit} />;
}
