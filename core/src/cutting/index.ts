export { finishFeed, loadOf, type Place, roughDepth, roughFeed, speedFor, type Work } from './data';
