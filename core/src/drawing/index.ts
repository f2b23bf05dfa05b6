export { completions } from './complete';
export { contourOf } from './contour';
export { words as detailWords } from './details';
export { faceOf, innerOf, inward, letterOf, longOf, mouthOf, otherEnd, rowAt, sunkOf } from './ends';
export { envelopeOf, isShaped, settingOf, widestOf } from './envelope';
export { facesNamed, type ListName, listNames, pathOf } from './faces';
export { parseWant, type Want } from './mates';
export { type Likely, likelyNominals, sampleDoubt, unworn } from './nominals';
export { parseBottom, parseEdge } from './parseEdge';
export { bareSize, parseFinish, parseLengthCell, parsePitch, parseSize, withGeneralRule } from './parseSize';
export { readDrawing } from './readDrawing';
export { readLine, unitsOfLine } from './readLine';
export { threadOf } from './rows';
export { arcOf, flattened, volumeOf, volumeOfPart } from './solid';
export { type CutLength, type Stack, stackOf, toleranceChart, type WorkingLength, workingLengths } from './stack';
export { fromTemplate, type Question, type Template, templates } from './templates';
export type {
  Characteristic,
  Contour,
  DetailKind,
  Distance,
  Edge,
  Feature,
  Limits,
  MateLimits,
  Part,
  PartDetail,
  ReadRelation,
  Size,
  Vertex,
} from './types';
