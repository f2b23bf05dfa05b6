export { pictureFile } from './pictureFile';
export { BarPicture } from './BarPicture';
export { SmallPart, Stamp } from './Stamp';
