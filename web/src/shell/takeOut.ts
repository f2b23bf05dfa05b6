// loaded when something is first taken out: DXF and CSV writers are not needed before
export { readingRows, writeDxf, writeReadings, writeReadingsJson, writeRows, writeStl } from '@obra/core/exchange';
