export { chamferInner, chamferMouth } from './chamfer';
export { shapeEdges } from './corners';
export { detailsOf, detailStep } from './grooves';
export { knurlUnder } from './knurl';
export { shapeRow } from './shapeRow';
export { undercut } from './undercut';
