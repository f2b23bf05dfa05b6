export { centreDrill } from './centreDrill';
export { drawnCentre } from './drawnCentre';
export { QUILL_LESS } from './drilling';
export { makeHole } from './hole';
