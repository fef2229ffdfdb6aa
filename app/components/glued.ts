/** Punctuation after a part of a sentence never begins a line. */
export const glued = (text: string): string => text.replace(/^(?=[,.;:])/, '\u2060')
