export { SolidFilm } from './filmed';
export { solidTriangles } from './makeSolid';
export { SolidPicture } from './SolidPicture';
export type { View } from './stage';
export { stageOn } from './stageOn';
export { turning } from './turning';
