// loaded when something is first typed in the finder: the tables of the standards are not needed before
export { calculators, placeFor } from '@obra/core/handbook';
export { lookUp } from '@obra/core/standards';
export { wordNamed, words } from '@obra/core/glossary';
