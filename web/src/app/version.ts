/** What is written into a route given out, as the version that planned it; the same as in package.json. */
export const VERSION = '0.1.0';
