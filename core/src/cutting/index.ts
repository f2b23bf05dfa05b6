export { finishFeed, loadOf, type Place, roughDepth, roughFeed, speedFor } from './data';
