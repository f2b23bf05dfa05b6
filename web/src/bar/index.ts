export { pictureFile } from './pictureFile';
export { BarPicture } from './BarPicture';
export { SmallOutline, SmallPart, Stamp } from './Stamp';
