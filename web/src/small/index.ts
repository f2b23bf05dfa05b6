export { EmptyBar, EmptyPicture, standardHeight } from './EmptyBar';
export { SmallOutline } from './Outline';
export { SmallPart, Stamp } from './Stamp';
