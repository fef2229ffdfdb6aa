import stopwords from 'stopwords-iso'
import { normalizeText } from '../../formats/normalizeText'
import { hashText } from '../plainWord'

let hashes: Set<number> | undefined

/** Hashes of words such as "the", in many languages: they say nothing of what a text is about. */
export function commonWords(): Set<number> {
  hashes ??= new Set(
    Object.values(stopwords)
      .flat()
      .map((word) => hashText(normalizeText(word))),
  )
  return hashes
}
