export { proof } from './proof';
export { type ToolIn, toolIn } from './toolIn';
export { type Film, filmOf, type Reel, type Touch, type Way } from './film';
