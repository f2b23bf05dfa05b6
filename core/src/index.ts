/**
 * The short list for people outside: what reads a part, plans it, sizes it and writes it out. Each room offers more under its own name: `@obra/core/drawing`, `@obra/core/planner` ...
 */
export { writeSentence, writeWithUnit } from './quantity';
export { applyEdits } from './finding';
export { dieBlank, drillNamed, fit, materialOf, materials, nearestDrills, sizeLimits, tapDrills, threadLimits, threadsIn, wires } from './standards';
export { parseJob, parseJobFile, parseShop } from './document';
export { midShop, proves, readoutShop, startingShop } from './shop';
export { contourOf, parseSize, readDrawing, readLine } from './drawing';
export { alternatives, choicesOf, costOf, plan, planning, violations } from './planner';
export { advise, adviseWith, beliefOf, dialSaid, sizeAdvice, sizeAfter, sizeNow, sizingWith, towardsOf } from './sizing';
export { inspect } from './inspection';
export { benchState } from './bench';
export { readDxf, writeDxf, writeOperations, writeStl } from './exchange';
export { calculators } from './handbook';
