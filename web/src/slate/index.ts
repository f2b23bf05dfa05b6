export { AdviceCard } from './AdviceCard';
export { Big } from './Big';
export { type Apply, Checks } from './Checks';
export { FigureNumber } from './FigureNumber';
export { Mark } from './Mark';
