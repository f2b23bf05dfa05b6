import { conversionCalculators, gradeCalculators } from './conversionCalculators';
import { copyCalculators } from './copyCalculators';
import { moreThreadCalculators } from './moreThreads';
import { gearBlankCalculators, rollCalculators, rollTaperCalculators } from './rollCalculators';
import { shaftCalculators } from './shaftCalculators';
import { timeCalculators, wallCalculators } from './timeCalculators';
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
  ...shaftCalculators,
  ...moreThreadCalculators,
  ...timeCalculators,
  ...wallCalculators,
  ...copyCalculators,
  ...rollTaperCalculators,
  ...rollCalculators,
  ...gearBlankCalculators,
  ...conversionCalculators,
  ...gradeCalculators,
];

export const calculatorNamed = (id: string): Calculator | undefined => calculators.find((e) => e.id === id);
