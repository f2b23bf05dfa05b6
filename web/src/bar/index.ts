export { pictureFile } from './pictureFile';
export { BarPicture } from './BarPicture';
export { mapping, type Mapping } from './mapping';
export { faceName } from './faceName';
export { rowNumber } from './rowNumber';
export { HoldingPicture } from './HoldingPicture';
export { SettingPicture } from './SettingPicture';
export type { Typing } from './CellInPicture';
export type { Movable, Moved } from './MoveHolding';
