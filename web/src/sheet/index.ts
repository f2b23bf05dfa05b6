export { OperationSheet } from './OperationSheet';
