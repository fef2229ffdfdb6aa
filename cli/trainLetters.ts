import { readFileSync, writeFileSync } from 'node:fs'
import stopwords from 'stopwords-iso'
import { normalizeText } from '../core/formats/normalizeText'
import { edged, letterKey, STEP, THREES, TWOS, type LetterTables } from '../core/moderation/letters/surprise'
import { wordingTexts } from './trainWording'

const file = new URL('../core/moderation/letters/letters.json', import.meta.url)
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

/** How often letters follow each other. A word counts by the logarithm of its number. */
export function trainLetters(words = countedWords()): LetterTables {
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

const written = ({ threes, twos }: LetterTables) =>
  `${JSON.stringify({ threes: Buffer.from(threes).toString('base64'), twos: Buffer.from(twos).toString('base64') })}\n`

export const saveLetters = (tables: LetterTables): void => writeFileSync(file, written(tables))

/** Whether the shipped tables are those that the texts give. */
export const lettersAreCurrent = (): boolean => readFileSync(file, 'utf8') === written(trainLetters())
