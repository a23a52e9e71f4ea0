/** Words with their first letter as at the head of a line. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
