export { centreDrill } from './centreDrill';
export { drawnCentre } from './drawnCentre';

export { holeAt, makeHole } from './hole';
export { ladderOf } from './ladder';
export { coneMouth, edgeSize, takesCone } from './mouth';
export { type Drawer, enters, type Prices, type Rung } from './rung';
