import { readFileSync, writeFileSync } from 'node:fs'
import { readWords } from '../core/moderation/reading'
import {
  nothingLearnt,
  WordingModel,
  writeCounts,
  type Verdict,
  type WordingFile,
} from '../core/moderation/wording/model'

const folder = new URL('../core/moderation/wording/', import.meta.url)
export const startingFile = new URL('starting.json', folder)

/** Builds the model from the texts written for it. */
export function trainWording(): WordingFile {
  const model = new WordingModel(nothingLearnt())
  for (const verdict of ['spam', 'honest'] as const)
    for (const body of textsOf(verdict)) model.teach(readWords({ title: '', body }).words, verdict)
  return writeCounts('wording-1', model.counts)
}

export function saveWording(file: WordingFile): void {
  writeFileSync(startingFile, `${JSON.stringify(file)}\n`)
}

/** One text a line; lines that begin with # are comments. */
function textsOf(verdict: Verdict): string[] {
  return readFileSync(new URL(`texts/${verdict}.txt`, folder), 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '' && !line.startsWith('#'))
}
