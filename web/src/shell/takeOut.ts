// loaded when something is first taken out: DXF and CSV writers are not needed before
export { writeDxf, writeRows, writeStl } from '@obra/core/exchange';
