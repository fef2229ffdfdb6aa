import { readWording, type WordingFile, type WordingModel } from './model'
import file from './starting.json' with { type: 'json' }

let shared: WordingModel | undefined

/** The built-in model. */
export function startingModel(): WordingModel {
  shared ??= readWording(file as WordingFile)
  return shared
}
