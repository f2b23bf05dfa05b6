export { calculatorNamed, calculators } from './calculators';
export { startOf } from './fields';
export { formulaOf } from './formulas';
export { placeFor } from './places';
export type { Point, Said, Shape, Sketch, Surface } from './sketch';
export {
  type Answered,
  type Calculator,
  type Field,
  type FromShop,
  groups,
  type NotAnswered,
  labelOf,
  type Row as AnswerRow,
  type Table,
} from './types';
