export { type Word, words } from './words.table';
export { wordNamed } from './wordNamed';
