export type { Column } from './columns';
export { Grid } from './Grid';
export { MovableRows } from './MovableRows';
export { GridCell } from './GridCell';
export { cellOf, type Draft } from './lay';
