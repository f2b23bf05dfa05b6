export { AdviceCard } from './AdviceCard';
export { Big } from './Big';
export { Checks } from './Checks';
export { FigureNumber, FormulaBook } from './FigureNumber';
export { Mark, MarkShape } from './Mark';
export { RunToSize } from './RunToSize';
export { StillToBeDone } from './StillToBeDone';
export { sentence, sentenceCase } from './sentenceCase';
export { Said } from './Said';
