export { proof } from './proof';
