/** Words as the beginning of a sentence. */
export const capitalised = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
