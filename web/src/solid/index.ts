export { solidTriangles } from './makeSolid';
export { SolidPicture } from './SolidPicture';
