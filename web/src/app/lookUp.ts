// loaded when something is first typed in the finder: the tables of the standards are not needed before
export { calculators, lookUp, placeFor } from '@obra/core';
