import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { readWords } from '../core/moderation/reading'
import { writeWording, type Verdict, type WordingFile } from '../core/moderation/wording/model'
import { train, type Lesson } from '../core/moderation/wording/train'

const folder = new URL('../core/moderation/wording/', import.meta.url)
export const startingFile = new URL('starting.json', folder)

/** A text that was written for the model. */
export interface WordingText extends Lesson {
  body: string
  language: string
  kind: string
}

/** Builds the model from the texts written for it. */
export function trainWording(): WordingFile {
  return writeWording('wording-3', train(wordingTexts()))
}

export function saveWording(file: WordingFile): void {
  writeFileSync(startingFile, `${JSON.stringify(file)}\n`)
}

/**
 * The files `texts/spam*.txt` and `texts/honest*.txt`: one text a line. A line with # and two letters says the
 * language of those below, and perhaps their kind.
 */
export function wordingTexts(): WordingText[] {
  return readdirSync(new URL('texts/', folder))
    .toSorted()
    .flatMap((file) => textsOf(file, file.startsWith('spam') ? 'spam' : 'honest'))
}

function textsOf(file: string, verdict: Verdict): WordingText[] {
  const texts: WordingText[] = []
  let [language, kind] = ['en', 'mixed']
  for (const line of readFileSync(new URL(`texts/${file}`, folder), 'utf8').split('\n')) {
    const heading = /^# ([a-z]{2})(?: ([a-z]+))?\b/.exec(line)
    if (heading) [language, kind] = [heading[1]!, heading[2] ?? 'mixed']
    if (line.startsWith('#') || line.trim() === '') continue
    texts.push({ body: line, language, kind, verdict, words: readWords({ title: '', body: line }).words })
  }
  return texts
}
