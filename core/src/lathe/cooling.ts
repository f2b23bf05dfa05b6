/** What is left of a warmth over the room after so many minutes. @source Newton's law of cooling */
export const cooledAfter = (over: number, minutes: number, constant: number): number => over * Math.exp(-minutes / constant);
