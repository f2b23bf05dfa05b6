export { BarPicture, SmallPart, Stamp } from './BarPicture';
