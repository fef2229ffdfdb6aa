const spelt = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine']

/** A count in a sentence: words up to nine, digits from ten. */
export function countWord(count: number): string {
  return spelt[count] ?? String(count)
}

/** The same at the beginning of a sentence. */
export function countWordFirst(count: number): string {
  const word = countWord(count)
  return word.charAt(0).toUpperCase() + word.slice(1)
}
