import { forceCalculators } from './forceCalculators';
import { gearCalculators } from './gearCalculators';
import { grooveCalculators } from './grooveCalculators';
import { holeCalculators } from './holeCalculators';
import { measuringCalculators } from './measuringCalculators';
import { otherCalculators } from './otherCalculators';
import { sizeCalculators } from './sizeCalculators';
import { speedCalculators } from './speedCalculators';
import { taperCalculators } from './taperCalculators';
import { threadCalculators } from './threadCalculators';
import { threadCuttingCalculators } from './threadCutting';
import type { Calculator } from './types';

export { startOf } from './fields';
export { formulaOf } from './formulas';
export { type Place as HandbookPlace, placeFor } from './places';
export type { Point, Said, Shape, Sketch, Surface } from './sketch';
export {
  type Answer,
  type Answered,
  type Calculator,
  type Field,
  type FromShop,
  groups,
  type NotAnswered,
  type Row as AnswerRow,
  type Table,
  type Texts,
  type Use,
} from './types';

/** Every calculator of the Handbook, grouped as people look for them. */
export const calculators: readonly Calculator[] = [
  ...sizeCalculators,
  ...threadCalculators,
  ...threadCuttingCalculators,
  ...holeCalculators,
  ...grooveCalculators,
  ...taperCalculators,
  ...gearCalculators,
  ...speedCalculators,
  ...forceCalculators,
  ...otherCalculators,
  ...measuringCalculators,
];

export const calculatorNamed = (id: string): Calculator | undefined => calculators.find((e) => e.id === id);
