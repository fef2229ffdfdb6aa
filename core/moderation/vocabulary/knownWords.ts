import { vocabularyFile } from './vocabularyFile'

let hashes: Set<number> | undefined

/** Whether a word is in the texts that the text model is made of, by the hash of its spelling. */
export function isKnownWord(hash: number): boolean {
  hashes ??= new Set(vocabularyFile().words)
  return hashes.has(hash)
}
