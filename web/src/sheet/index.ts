export { Ledger } from './Ledger';
export { LengthChart } from './LengthChart';
export { OperationSheet } from './OperationSheet';
export { Traveller } from './Traveller';
export { usePrinting } from './usePrinting';
export { MovableLines } from './MovableLines';
export { type Drawn, sizeAbout, sizeBetween, sizeName } from './sizes';
export { moveTo } from './moveTo';
