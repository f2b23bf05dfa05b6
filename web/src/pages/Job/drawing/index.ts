export { Drawing } from './Drawing';
