import { readCounts, WordingModel, type WordingFile } from './model'
import file from './starting.json' with { type: 'json' }

let shared: WordingModel | undefined

/** The built-in model, read-only. */
export function startingModel(): WordingModel {
  shared ??= new WordingModel(readCounts(file as unknown as WordingFile))
  return shared
}

/** A copy of the built-in model for a shop's own decisions. */
export function modelToTeach(): WordingModel {
  return new WordingModel(readCounts(file as unknown as WordingFile))
}
