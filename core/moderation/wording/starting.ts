import { readCounts, WordingModel, type WordingFile } from './model'
import file from './starting.json' with { type: 'json' }

let shared: WordingModel | undefined

/** The model that ships, for reading only. */
export function startingModel(): WordingModel {
  shared ??= new WordingModel(readCounts(file as unknown as WordingFile))
  return shared
}

/** The model that ships, to be taught by one shop's own decisions. */
export function modelToTeach(): WordingModel {
  return new WordingModel(readCounts(file as unknown as WordingFile))
}
