/** With a capital, as a sentence that stands for itself. */
export const sentenceCase = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
