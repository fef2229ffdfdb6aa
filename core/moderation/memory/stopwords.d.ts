/** Its package has no types: the commonest words of each language, by two-letter code. */
declare module 'stopwords-iso' {
  const stopwords: Record<string, string[]>
  export default stopwords
}
