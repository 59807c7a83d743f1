/** With a capital letter at its beginning. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
