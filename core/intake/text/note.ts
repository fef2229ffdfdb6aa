import { findDate } from './date'
import { bareOf, isNameAndLittle, leadEnd, leadName, tailName, tailStart } from './attribution'
import type { Found } from './found'
import { firstPart } from './letter'
import { isBlank, partOf, trimBlank, type Line } from './lines'
import { looksLikeName } from './personLike'
import { findRating, type GivenRating } from './rating'

/** The name, rating, date and text of a note about one review. */
export interface Note {
  name: Line | null
  rating: (Found & { rating: GivenRating }) | null
  date: (Found & { iso: string }) | null
  words: Line[]
  /** Whether the text was quoted. */
  quoted: boolean
}

const labels: ['name' | 'date' | 'rating' | 'words' | 'other', RegExp][] = [
  [
    'name',
    /^\s*[-*•]?\s*(?:name|customer|client|author|who|by|kunde|kundin|nom|cliente|nombre|klient|klientka|imię|nome|naam|klant)\s*[:=]\s*/iu,
  ],
  ['date', /^\s*[-*•]?\s*(?:date|datum|when|fecha|data)\s*[:=]\s*/iu],
  [
    'rating',
    /^\s*[-*•]?\s*(?:rating|stars?|score|bewertung|sterne|note|nota|ocena|voto|puntuación|beoordeling)\s*[:=]\s*/iu,
  ],
  [
    'words',
    /^\s*[-*•]?\s*(?:review|comment|feedback|text|words|testimonial|message|quote|kommentar|rezension|avis|commentaire|opinión|comentario|opinia|komentarz|recensione|commento|recensie)\s*[:=]\s*/iu,
  ],
  [
    'other',
    /^\s*[-*•]?\s*(?:order(?:\s+(?:no\.?|number))?|product|phone|tel\.?|e-?mail|company|role|city|subject|bestellung|produkt|telefon|firma)\s*[:=]\s*/iu,
  ],
]

/** "2 weeks ago": the date is unknown. */
const agoLine =
  /^\s*(?:(?:about\s+)?(?:\d+|an?|one|two|three)\s+(?:hours?|days?|weeks?|months?|years?)\s+ago|vor\s+\S+\s+\p{L}+|hace\s+\S+\s+\p{L}+|il\s+y\s+a\s+\S+\s+\p{L}+|\S+\s+\p{L}+\s+temu)\s*$/iu

const bullet = /^\s*(?:\d{1,2}[.)]|[-*•])\s+/u

const opening = '"“„«‚‘'
const closing = '"”“»’‘'
const quoted = new RegExp(`[${opening}]([^"“”„«»]{3,})[${closing}]`, 'u')

/**
 * Reads a note, a card or one block of a list. The review keeps everything that isn't clearly about its
 * writer.
 */
export function readNote(lines: Line[]): Note {
  const note: Note = { name: null, rating: null, date: null, words: [], quoted: false }
  const open: Line[] = []
  for (const line of lines) {
    const label = labels.find(([, pattern]) => pattern.test(line.text))
    if (!label) {
      open.push(line)
      continue
    }
    const value = partOf(line, label[1].exec(line.text)![0].length)
    if (label[0] === 'name' && looksLikeName(firstPart(value.text)))
      note.name = partOf(value, 0, firstPart(value.text).length)
    else if (label[0] === 'date') note.date = shifted(findDate(value.text), value.start)
    else if (label[0] === 'rating') note.rating = shifted(findRating(line.text), line.start)
    else if (label[0] === 'words') open.push(value)
  }
  note.words = trimBlank(open).filter((line) => !agoLine.test(line.text))
  readAround(note)
  return note
}

/** Removes name, rating and date from the edges of the text where they aren't part of a sentence. */
function readAround(note: Note): void {
  const whole = trimBlank(note.words)
  const start = note.words.find((line) => !isBlank(line))
  if (start && bullet.test(start.text))
    replace(note, start, partOf(start, bullet.exec(start.text)![0].length))
  const titled = start && titledOpening.exec(start.text)
  if (start && titled) {
    take(note, start, titled.groups!.name!)
    replace(note, start, partOf(start, titled[0].length))
  }
  const behind = start && /[”"“»]\s*\((?<name>[^()]+)\)\s*$/u.exec(start.text)
  if (start && behind && isNameAndLittle(bareOf(behind.groups!.name!))) {
    take(note, partOf(start, behind.index + 1), bareOf(behind.groups!.name!))
    replace(note, start, partOf(start, 0, behind.index + 1))
  }
  // "Ewa, 4/5 - ..." and "5 stars - Ewa - ..." are removed part by part.
  for (const edge of ['first', 'first', 'first', 'last', 'last'] as const) {
    const line =
      edge === 'first' ? note.words.find((l) => !isBlank(l)) : note.words.findLast((l) => !isBlank(l))
    if (line) peel(note, line, edge)
  }
  const single = note.words.filter((line) => !isBlank(line))
  if (single.length === 1) unquote(note, single[0]!)
  else unquoteAcross(note)
  // A name beside a date or rating is more certain than a name alone.
  const dated = new Set(note.words.filter(isDated))
  for (const line of [...dated, ...note.words.filter((one) => !dated.has(one))]) peelAlone(note, line)
  note.rating ??= firstRating(whole)
  note.words = trimBlank(note.words)
}

/** "On the phone today: Mr Iwu. Very happy": a name with a title as a sentence before the review. */
const titledOpening =
  /^(?:[^.!?:]{0,30}:\s*)?(?<name>(?:Mrs?|Ms|Dr|Herr|Frau|Mme|Mlle|Sra?|Pani?|Sig)\.?\s\p{Lu}[\p{L}'’-]+(?:\s\p{Lu}[\p{L}'’-]+)?)\.\s+(?=\S)/u

const isDated = ({ text }: Line) => findDate(text) !== null || findRating(text) !== null

function replace(note: Note, line: Line, part: Line | null): void {
  const at = note.words.indexOf(line)
  note.words = part && part.text ? note.words.with(at, part) : note.words.toSpliced(at, 1)
}

/** A line that contains only a name, a rating or a date. */
function peelAlone(note: Note, line: Line): void {
  const rest = bare(note, line.text)
  if (isBlank(line) || rest === null) return
  if (rest !== '' && !(note.name === null && isNameAndLittle(rest))) return
  take(note, line, rest)
  replace(note, line, null)
}

/** The line without rating, date and separators; null if it contains neither and is no name. */
function bare(note: Note, text: string): string | null {
  const rating = findRating(text)
  const noRating = rating ? text.slice(0, rating.start) + ' ' + text.slice(rating.end) : text
  const date = findDate(noRating)
  const rest = (date ? noRating.slice(0, date.start) + ' ' + noRating.slice(date.end) : noRating)
    .replace(/^[\s\-–—~|,;:.()[\]/*•]+|[\s\-–—~|,;:.()[\]/*•]+$/gu, '')
    .trim()
  if (rating || date) return rest
  return note.name === null &&
    looksLikeName(firstPart(rest)) &&
    /^[\s\-–—~]*\p{Lu}/u.test(text) &&
    text.trim().length < 60 &&
    isAttribution(text)
    ? rest
    : null
}

/** "— Anna Berg, baker", or a name and nothing else. */
function isAttribution(text: string): boolean {
  return (
    /^\s*[-–—~]/u.test(text) || looksLikeName(firstPart(text.trim())) === firstPart(text.trim()).length > 0
  )
}

function take(note: Note, line: Line, rest: string): void {
  note.rating ??= shifted(findRating(line.text), line.start)
  note.date ??= shifted(findDate(line.text), line.start)
  const whole = firstPart(rest)
  // A rating between two words was replaced by spaces, so the name ends there.
  const name = line.text.includes(whole) ? whole : firstPart(rest.split(/\s{2,}/u)[0]!)
  if (note.name === null && name && line.text.includes(name) && looksLikeName(name)) {
    const at = line.text.indexOf(name)
    const end = at + name.length
    // An initial keeps its full stop, which was removed as a separator.
    note.name = partOf(line, at, /\b\p{Lu}$/u.test(name) && line.text[end] === '.' ? end + 1 : end)
  }
}

/** The part before the first words ("Anna Berg, 5/5:") or after the last ("– Anna, 5 stars"). */
function peel(note: Note, line: Line, edge: 'first' | 'last'): void {
  const cut = edge === 'first' ? leadEnd(line.text) : tailStart(line.text)
  if (cut === null) return
  const [about, words] =
    edge === 'first' ? [partOf(line, 0, cut), partOf(line, cut)] : [partOf(line, cut), partOf(line, 0, cut)]
  const rest = edge === 'first' ? leadName(bareOf(about.text)) : tailName(bareOf(about.text))
  if (rest === null) return
  take(note, about, rest)
  replace(note, line, words)
}

function unquote(note: Note, line: Line): void {
  const match = quoted.exec(line.text)
  if (!match) return
  const around = line.text.slice(0, match.index) + line.text.slice(match.index + match[0].length)
  const aroundName = leadName(bareOf(around.replace(/[:,]\s*$/u, '')))
  if (
    around.trim().length > 90 ||
    (around.trim() !== '' && aroundName === null && !/[:,]\s*$/u.test(line.text.slice(0, match.index)))
  )
    return
  if (aroundName) take(note, { ...line, text: line.text }, aroundName)
  note.quoted = true
  const inner = match.index + 1
  replace(note, line, partOf(line, inner, inner + match[1]!.length))
}

/** Quotation marks around one line among short ones, or around several lines together. */
function unquoteAcross(note: Note): void {
  const filled = note.words.filter((line) => !isBlank(line))
  const whole = filled.filter((line) => quoted.exec(line.text)?.[0].length === line.text.trim().length)
  const others = filled.filter((line) => !whole.includes(line))
  if (whole.length === 1 && others.every(({ text }) => text.trim().length < 60 && !/[.!?]\s*$/u.test(text))) {
    for (const line of others) {
      peelAlone(note, line)
      note.rating ??= shifted(findRating(line.text), line.start)
      note.date ??= shifted(findDate(line.text), line.start)
      if (note.words.includes(line)) replace(note, line, null)
    }
    unquote(note, whole[0]!)
    return
  }
  const [first, last] = [filled[0], filled.at(-1)]
  if (!first || !last || first === last) return
  if (!opening.includes(first.text.trim()[0]!) || !closing.includes(last.text.trim().at(-1)!)) return
  note.quoted = true
  replace(note, first, partOf(first, first.text.search(/\S/) + 1))
  replace(note, last, partOf(last, 0, last.text.trimEnd().length - 1))
}

const introduced =
  /(?:^|[\s,.!–-])(?:i['’]?\s?a?m|my\s+name\s+is|this\s+is|ich\s+bin|mein\s+name\s+ist|ich\s+heiße|soy|me\s+llamo|je\s+m['’]appelle|je\s+suis|jestem|nazywam\s+się|sono|mi\s+chiamo|ik\s+ben|mijn\s+naam\s+is)\s+(?<name>\p{Lu}[\p{L}'’-]+(?:\s+(?:(?:van|von|de|del|della|di|da)\s+)*\p{Lu}[\p{L}'’-]+){0,2})/u

/** "Hey, it's Carla": only after a greeting, because the phrase is common. */
const greeted =
  /(?:^|[\s,:])(?:hey|hi|hello|hallo)[\s,]+(?:it['’]s|it\s+is|hier\s+(?:ist|spricht))\s+(?<name>\p{Lu}[\p{L}'’-]+(?:\s+\p{Lu}[\p{L}'’-]+)?)/iu

/** How the writer introduces herself. */
export function introducedName(words: Line[]): Line | null {
  for (const line of words) {
    const match =
      introduced.exec(line.text) ??
      greeted.exec(line.text) ??
      introduced.exec(line.text.charAt(0).toLowerCase() + line.text.slice(1))
    const name = match?.groups?.name
    if (name && looksLikeName(name))
      return partOf(line, line.text.indexOf(name), line.text.indexOf(name) + name.length)
  }
  return null
}

function firstRating(lines: Line[]): Note['rating'] {
  for (const line of lines) {
    const rating = findRating(line.text)
    if (rating) return shifted(rating, line.start)
  }
  return null
}

function shifted<F extends Found>(found: F | null, by: number): F | null {
  return found && { ...found, start: found.start + by, end: found.end + by }
}
