/** A rule's name in words. */
export const named = (rule: string): string => rule.replaceAll('-', ' ');
