import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import { readWords } from '../../core/moderation/reading'
import type { WordingModel } from '../../core/moderation/wording/model'
import { startingModel } from '../../core/moderation/wording/starting'
import { taughtBy } from '../../core/moderation/wording/train'
import { lessonsOf, wordsOfVersions } from '../data/lessons'

/** The built-in model with what each shop has taught. */
export interface WordingModels {
  of: (shopId: number) => Promise<WordingModel>
}

const MAX_SHOPS = 200
/** So soon after a decision the next review is judged by it. */
const FRESH_MS = 1000

interface Entry {
  readAt: number
  /** What the lessons were. */
  lessons: string
  model: WordingModel
}

/**
 * Models are made from the decisions as they stand, so that undoing one unteaches exactly what it taught. They are
 * kept in memory and made again when the decisions have changed.
 */
export function buildWordingModels(db: Knex, now: () => Date): WordingModels {
  const entries = new LRUCache<number, Entry>({ max: MAX_SHOPS })
  return {
    of: async (shopId) => {
      const known = entries.get(shopId)
      const readAt = now().getTime()
      if (known && Math.abs(readAt - known.readAt) < FRESH_MS) return known.model
      const keys = await lessonsOf(db, shopId)
      const lessons = keys.map(({ versionId, verdict }) => `${versionId} ${verdict}`).join()
      const model = known?.lessons === lessons ? known.model : await modelFrom(db, keys)
      entries.set(shopId, { readAt, lessons, model })
      return model
    },
  }
}

async function modelFrom(db: Knex, keys: Awaited<ReturnType<typeof lessonsOf>>): Promise<WordingModel> {
  const shared = startingModel()
  if (keys.length === 0) return shared
  const words = await wordsOfVersions(
    db,
    keys.map(({ versionId }) => versionId),
  )
  const lessons = keys.map(({ versionId, verdict }) => ({
    verdict,
    words: readWords(words.get(versionId)!).words,
  }))
  return shared.withTaught(taughtBy(shared, lessons))
}
