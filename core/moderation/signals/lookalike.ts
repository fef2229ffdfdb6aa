import { messageCode } from '../../messages/code'
import { wordTags } from '../plainWord'
import { hasTag, placeOf, type Reading, type ReadWord } from '../reading'
import { quoted, type Signal } from '../signal'
import type { WordingModel } from '../wording/model'

/** Points for one disguised word, and for each further one. */
const FIRST = 36
const FURTHER = 12
const MOST = 66

/**
 * Disguised words: look-alike letters of another script, invisible characters, digits in place of letters. A
 * digit counts only if the model knows the resulting word.
 */
export function lookalikeSignal(reading: Reading, model: WordingModel): Signal | null {
  if (!hasTag(reading, wordTags.disguised | wordTags.respelt)) return null
  const places = reading.words
    .filter((word) => word.tags & wordTags.disguised || isRespelt(word, model))
    .map(placeOf)
  if (places.length === 0) return null
  return {
    kind: 'lookalike',
    points: Math.min(MOST, FIRST + FURTHER * (places.length - 1)),
    headline: messageCode('signal.lookalike'),
    detail: quoted(reading, places),
    places,
  }
}

function isRespelt({ hash, speltHash, tags }: ReadWord, model: WordingModel): boolean {
  return (tags & wordTags.respelt) !== 0 && !model.knows(hash) && model.knows(speltHash)
}
