export { centreDrill } from './centreDrill';
export { drawnCentre } from './drawnCentre';

export { holeAt, makeHole } from './hole';
export { edgeSize } from './mouth';
