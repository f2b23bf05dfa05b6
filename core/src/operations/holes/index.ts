export { centreDrill } from './centreDrill';
export { drawnCentre } from './drawnCentre';

export { makeHole } from './hole';
