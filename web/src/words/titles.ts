/* What pages and cards are called. */

export const dialNow = 'What do I dial now?';
export const wordsOfTrade = 'Words of the trade';
export const cannotTitle = 'What I cannot hold, reach, measure or make here';
export const howTrue = 'How true it comes out';
export const sawOrPull = 'Saw or pull out';
export const byCollars = 'A taper set over by two collars';
export const fourJaw = 'A four-jaw chuck in three moves';
export const drawnBy = 'drawn by';
export const wordsInLine = 'words of the trade';
export const barToPart = 'From bar to part';
export const twoCollars = 'Two collars';
export const cameTo = 'What it came to';
export const typePart = 'Type a part on one line';
