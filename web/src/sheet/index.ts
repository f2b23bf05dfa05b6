export { Ledger } from './Ledger';
export { LengthChart } from './LengthChart';
export { OperationSheet } from './OperationSheet';
export { Traveller } from './Traveller';
export { usePrinting } from './usePrinting';
export { MovableLines } from './MovableLines';
