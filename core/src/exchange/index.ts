export { writeJobFile } from './jobFile';
