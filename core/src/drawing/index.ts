export { contourOf } from './contour';
export { parseEdge, parseFinish, parseLengthCell, parseSize, withGeneralRule } from './parseSize';
export { readDrawing } from './readDrawing';
export { readLine, unitsOfLine } from './readLine';
export type { Characteristic, Contour, Feature, Limits, Part, Size, Vertex } from './types';
