import { define, figure, type Figure, type Formula, type FormulaName, formulaNamed, formulas, type Inputs, type QuantityKind } from '../quantity';
import { formulasOfForms } from './formulasOfForms';
import { formulasOfShop } from './formulasOfShop';
import { formulasOfWork } from './formulasOfWork';

const arithmetic = 'arithmetic';

/** Formulas of which only the Handbook shows numbers; beside those of `quantity`. */
const handbookFormulas = {
  tableLimit: define(
    'basic size + deviation of the table',
    'the table named beside it',
    { basic: ['length', 'basic size'], deviation: ['length', 'deviation'] },
    ({ basic, deviation }) => basic + deviation,
  ),
  asTable: define('as the table has it', 'the table named beside it', { value: ['length', 'value'] }, ({ value }) => value),
  asNumber: define('as the table has it', 'the table named beside it', { value: ['ratio', 'value'] }, ({ value }) => value),
  asTyped: define('as typed', 'typed', { value: ['length', 'value'] }, ({ value }) => value),
  clearance: define('hole - shaft', arithmetic, { hole: ['diameter', 'hole'], shaft: ['diameter', 'shaft'] }, ({ hole, shaft }) => hole - shaft),
  interference: define('shaft - hole', arithmetic, { shaft: ['diameter', 'shaft'], hole: ['diameter', 'hole'] }, ({ shaft, hole }) => shaft - hole),
  shaftForHole: define(
    'hole as measured - clearance wanted',
    arithmetic,
    { hole: ['diameter', 'hole as measured'], clearance: ['length', 'clearance, minus where it is interference'] },
    ({ hole, clearance }) => hole - clearance,
  ),
  width: define('largest - smallest', arithmetic, { max: ['diameter', 'largest'], min: ['diameter', 'smallest'] }, ({ max, min }) => max - min),
  offDrill: define('drill - size', arithmetic, { drill: ['diameter', 'drill'], size: ['diameter', 'size'] }, ({ drill, size }) => drill - size),
  ...formulasOfForms,
  ...formulasOfWork,
  ...formulasOfShop,
} as const satisfies Record<string, Formula>;

type Own = keyof typeof handbookFormulas;

/** A number of the Handbook: it opens its formula, the values put in and where they come from. */
export function fig(
  is: QuantityKind,
  formula: Own | FormulaName,
  of: Inputs,
  more: { readonly step?: number; readonly source?: string } = {},
): Figure {
  return formula in formulas
    ? figure(is, formula as FormulaName, of, more)
    : { is, value: handbookFormulas[formula as Own].compute(of), formula, of, ...more };
}

/** The formula of any figure that the Handbook shows. */
export const formulaOf = (name: string): Formula | undefined =>
  Object.hasOwn(handbookFormulas, name) ? handbookFormulas[name as Own] : formulaNamed(name);
