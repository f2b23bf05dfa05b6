export { Ledger } from './Ledger';
export { OperationSheet } from './OperationSheet';
export { Traveller } from './Traveller';
export { usePrinting } from './usePrinting';
export { MovableLines } from './MovableLines';
