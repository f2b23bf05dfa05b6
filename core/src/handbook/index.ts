export { calculatorNamed, calculators } from './calculators';
export { startOf } from './fields';
export { formulaOf } from './formulas';
export { type HandbookPlace, placeFor } from './places';
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
