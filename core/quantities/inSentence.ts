/** A name inside a sentence: its first letter small, where it is no abbreviation. */
export const inSentence = (name: string): string => name.replace(/^[A-Z](?=[a-z])/, (first) => first.toLowerCase())
