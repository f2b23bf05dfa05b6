export { type DxfFile, writeDxf } from './dxf';
export type { Reading } from './dxfSegments';
export { writeJobFile, writeShopFile } from './jobFile';
export type { Axis } from './profile';
export { type DxfAsked, readDxf, type ReadDxf, readingDxf } from './readDxf';
export { pastedRows } from './pasteRows';
export { writeRows } from './rows';
export { writeStl } from './stl';
export { readShopTable, type TakenIn, writeShopTable } from './shopTables';
