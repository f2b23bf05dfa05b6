export { proof } from './proof';
export { type ToolIn, toolIn } from './toolIn';
