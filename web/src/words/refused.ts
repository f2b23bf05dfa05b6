/* What is said where this browser stores nothing. */

export const nothingLost = 'This browser did not store it (storage full or blocked). Nothing that was stored is lost.';
