export { EmptyBar, EmptyPicture, standardHeight } from './EmptyBar';
export { SmallOutline, SmallPart, Stamp } from './Stamp';
