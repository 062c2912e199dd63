/** The same words with a capital letter. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A text with a small first letter, for the middle of a sentence. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
