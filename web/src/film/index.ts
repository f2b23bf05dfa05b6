export { Making } from './Making';
