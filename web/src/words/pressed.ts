/* What is pressed, where more than one place has it. */

export const leaveIt = 'leave it';
export const keepIt = 'keep it';
export const takeIt = 'take it';
export const putItIn = 'put it in';
export const anotherOne = 'another one';
export const showAll = 'show all';
export const fillDown = 'fill down';
export const exportAsFile = 'export as a file';
export const printThisSheet = 'print this sheet';
export const readAgain = 'it is right, I read it again';
export const keepReading = 'Next: keep the reading';
export const inPlaceOfRows = 'put in place of the rows';
export const cutInIt = 'cut in it';
export const aPass = 'a pass at this setting';
export const furtherOver = 'further over';
export const dragToMove = 'drag to move';
export const adviserBeside = 'the adviser beside me';
export const suchOwnStep = 'deburr the slot with a fine file';
export const scrapPiece = (piece: number): string => `scrap piece ${String(piece)}`;
export const dialReadsSo = (reads: string): string => `the dial reads ${reads}: set it so`;
