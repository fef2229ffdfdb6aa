import { writeFileSync } from 'node:fs'
import stopwords from 'stopwords-iso'
import { normalizeText } from '../core/formats/normalizeText'
import {
  edged,
  letterKey,
  STEP,
  THREES,
  TWOS,
  type LetterTables,
} from '../core/moderation/vocabulary/letterSurprise'
import type { Vocabulary } from '../core/moderation/vocabulary/vocabularyFile'
import { wordingTexts } from './trainWording'

export const vocabularyPath = new URL('../core/moderation/vocabulary/vocabulary.json', import.meta.url)
/** Scripts with letters for single sounds and enough words to count. */
const counted = /^[\p{Script=Latin}\p{Script=Cyrillic}\p{Script=Greek}]+$/u

/** The words of the texts for the text model, and common words of many languages, by how often they occur. */
function countedWords(): Map<string, number> {
  const words = new Map<string, number>()
  const add = (word: string) => {
    if (counted.test(word)) words.set(word, (words.get(word) ?? 0) + 1)
  }
  for (const text of wordingTexts()) for (const { plain } of text.words) add(plain)
  for (const word of Object.values(stopwords).flat()) add(normalizeText(word).replace(/[^\p{L}]/gu, ''))
  return words
}

/** The words of the texts for the text model, and how often letters follow each other. */
export function trainVocabulary(): Vocabulary {
  const hashes = wordingTexts().flatMap((text) => text.words.map(({ hash }) => hash))
  return { words: Int32Array.from(new Set(hashes)).sort(), ...countLetters(countedWords()) }
}

/** How often letters follow each other. A word counts by the logarithm of its number. */
function countLetters(words: Map<string, number>): LetterTables {
  const sums = { 3: new Float64Array(THREES), 2: new Float64Array(TWOS) }
  const befores = { 3: new Map<string, number>(), 2: new Map<string, number>() }
  const each = (visit: (length: 2 | 3, key: number, before: string, weight: number) => void) => {
    for (const [word, count] of words) {
      const text = edged(word)
      for (let end = 3; end <= text.length; end++)
        for (const length of [2, 3] as const)
          visit(length, letterKey(text, end, length), text.slice(end - length, end - 1), 1 + Math.log(count))
    }
  }
  each((length, key, before, weight) => {
    sums[length][key]! += weight
    befores[length].set(before, (befores[length].get(before) ?? 0) + weight)
  })
  const tables = { 3: new Uint8Array(THREES), 2: new Uint8Array(TWOS) }
  each((length, key, before) => {
    const share = Math.min(1, sums[length][key]! / befores[length].get(before)!)
    tables[length][key] = Math.min(255, 1 + Math.round(-Math.log(share) / STEP))
  })
  return { threes: tables[3], twos: tables[2] }
}

/** As it is stored: bytes in base64. */
export function writeVocabulary({ words, threes, twos }: Vocabulary): Record<keyof Vocabulary, string> {
  const base64 = (bytes: Uint8Array) => Buffer.from(bytes).toString('base64')
  return { words: base64(new Uint8Array(words.buffer)), threes: base64(threes), twos: base64(twos) }
}

export function saveVocabulary(vocabulary: Vocabulary): void {
  writeFileSync(vocabularyPath, `${JSON.stringify(writeVocabulary(vocabulary))}\n`)
}
