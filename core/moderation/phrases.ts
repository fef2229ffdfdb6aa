import { listTag } from './plainWord'
import { hasTag, readWords, type Reading, type ReadWord } from './reading'
import type { Place } from './signal'

/*
 * Turns of phrase, written as people read them: words, folded (no capitals, no accents), parted by spaces.
 *   good/great      one of these words
 *   very?           may be missing
 *   *  *3           any word; up to three words, or none
 *   Name            a capitalised word that is no everyday one
 *   Code            capitals or figures, like SAVE20
 * A phrase never reaches across the end of a sentence.
 */

interface Step {
  /** The matching words; null for a wildcard. */
  words: Set<string> | null
  kind: 'words' | 'any' | 'name' | 'code'
  least: number
  most: number
}

export interface Phrases<Label extends string = string> {
  /** Phrases by each possible first word. */
  byFirst: Map<string, { label: Label; steps: Step[] }[]>
  /** The tag of words that can begin a phrase. */
  begins: number
}

/**
 * Phrases, prepared for searching.
 * @throws Error if a phrase begins with a wildcard
 */
export function phrasesOf(...written: string[]): Phrases<''> {
  return labelledPhrases({ '': written })
}

/** Several lists of phrases, searched in one pass; the label of a match names its list. */
export function labelledPhrases<Label extends string>(lists: Record<Label, string[]>): Phrases<Label> {
  const byFirst: Phrases<Label>['byFirst'] = new Map()
  for (const [label, written] of Object.entries(lists) as [Label, string[]][])
    for (const phrase of written) {
      const steps = phrase.split(/\s+/u).map(stepOf)
      for (const first of beginnings(steps, phrase))
        byFirst.set(first, [...(byFirst.get(first) ?? []), { label, steps }])
    }
  return { byFirst, begins: listTag(byFirst.keys()) }
}

export interface Found<Label extends string> extends Place {
  label: Label
  /** The words beside it in the same sentence. */
  before: ReadWord | undefined
  after: ReadWord | undefined
}

/** The matches in a review; of two that begin at the same word both are found. */
export function findPhrases<Label extends string>(reading: Reading, phrases: Phrases<Label>): Found<Label>[] {
  if (!hasTag(reading, phrases.begins)) return []
  const { words } = reading
  const found: Found<Label>[] = []
  for (let i = 0; i < words.length; i++) {
    if ((words[i]!.tags & phrases.begins) === 0) continue
    for (const { label, steps } of phrases.byFirst.get(words[i]!.plain) ?? []) {
      const end = endOf(reading, steps, i)
      if (end < 0) continue
      const first = words[i]!
      found.push({
        label,
        field: first.field,
        start: first.start,
        end: words[end - 1]!.end,
        before: first.opens ? undefined : words[i - 1],
        after: words[end]?.opens ? undefined : words[end],
      })
    }
  }
  return found
}

function stepOf(written: string): Step {
  const wild = /^\*(\d*)$/u.exec(written)
  if (wild) return { words: null, kind: 'any', least: wild[1] ? 0 : 1, most: Number(wild[1] || 1) }
  const least = written.endsWith('?') ? 0 : 1
  const bare = written.replace(/\?$/u, '')
  if (bare === 'Name') return { words: null, kind: 'name', least, most: 1 }
  if (bare === 'Code') return { words: null, kind: 'code', least, most: 1 }
  return { words: new Set(bare.split('/')), kind: 'words', least, most: 1 }
}

/** The possible first words: those of the first step, and of the next ones while steps are optional. */
function beginnings(steps: Step[], phrase: string): string[] {
  const firsts: string[] = []
  for (const { words, least } of steps) {
    if (words === null) throw new Error(`a phrase begins with a word: ${phrase}`)
    firsts.push(...words)
    if (least > 0) break
  }
  return [...new Set(firsts)]
}

/** The position after the longest match from a word on, or -1. */
function endOf(reading: Reading, steps: Step[], from: number, step = 0, at = from): number {
  if (step === steps.length) return at
  const { least, most } = steps[step]!
  let best = least === 0 ? endOf(reading, steps, from, step + 1, at) : -1
  for (let taken = 1; taken <= most; taken++) {
    const word = reading.words[at + taken - 1]
    if (!word || (at + taken - 1 > from && word.opens) || !fits(reading, word, steps[step]!)) break
    if (taken >= least) best = Math.max(best, endOf(reading, steps, from, step + 1, at + taken))
  }
  return best
}

function fits(reading: Reading, word: ReadWord, { kind, words }: Step): boolean {
  if (kind === 'words') return words!.has(word.plain)
  if (kind === 'any') return true
  const text = reading[word.field].slice(word.start, word.end)
  if (kind === 'code') return text.length >= 3 && /^[\p{Lu}\d]+$/u.test(text)
  return text.length >= 3 && /^\p{Lu}/u.test(text) && !everyday.has(word.plain)
}

/** Capitalised words that aren't names: days, first words of sentences, and texts in capitals. */
const everyday = new Set(
  readWords({
    title: '',
    body: `monday tuesday wednesday thursday friday saturday sunday montag dienstag mittwoch donnerstag freitag samstag sonntag
    lundi mardi mercredi jeudi vendredi samedi dimanche lunes martes miercoles jueves viernes sabado domingo lunedi martedi
    mercoledi giovedi venerdi sabato domenica the this that them these those here there they their your you our one all any
    and but for with from into about very more most some such other another same new next last first home work
    der die das den dem des ein eine einen einem einer und oder ihr ihre uns mir dir sie wir hier dort
    les des une mon ton son nos vos leur ici los las una mis tus sus aqui gli una mio tuo suo qui het een dit dat
    internet online christmas easter weihnachten ostern noel navidad natale`,
  }).words.map(({ plain }) => plain),
)
