/** With a capital, as a sentence that stands for itself. */
export const sentenceCase = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The same, ended by what it ends with already, else by a point. */
export const sentence = (text: string): string => `${sentenceCase(text)}${/[?!.:]$/.test(text) ? '' : '.'}`;
