/** The id of the markup that stands until the page comes. */
export const STILL = 'still';
