import { bytesOf } from '../../formats/base64'
import file from './vocabulary.json' with { type: 'json' }

/** What is known of the words of many languages. */
export interface Vocabulary {
  /** Hashes of words, ascending. */
  words: Int32Array
  /** How often three letters follow each other, and two: `letterSurprise`. */
  threes: Uint8Array
  twos: Uint8Array
}

let read: Vocabulary | undefined

/** The shipped vocabulary. */
export function vocabularyFile(): Vocabulary {
  read ??= {
    words: new Int32Array(bytesOf(file.words).buffer),
    threes: bytesOf(file.threes),
    twos: bytesOf(file.twos),
  }
  return read
}
