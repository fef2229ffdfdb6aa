import { customersTurns, readChat } from './chat'
import type { Found } from './found'
import { latestPast } from './date'
import { openLetter } from './letter'
import { isBlank, linesOf, trimBlank, type Line } from './lines'
import { readMailHead } from './mail'
import { introducedName, readNote, type Note } from './note'
import { findRating, type GivenRating } from './rating'
import { signerAbout, type SignerAbout } from './signer'

/** A review found in a pasted text. Places are in UTF-16 units of the given text. */
export interface ReadReview {
  authorName: string | null
  authorEmail: string | null
  /** From the signature; empty if it says none. */
  role: string
  company: string
  rating: GivenRating | null
  /** ISO date, with the time if given. */
  writtenAt: string | null
  body: string
  places: { authorName: Found | null; rating: Found | null; writtenAt: Found | null; body: Found[] }
}

/**
 * Extracts reviews from a pasted email, chat, note or list. Missing parts are null; a text without a review
 * gives none.
 * @param ownNames the names under which the shop writes, so that its own messages in a chat are ignored
 * @param today (`YYYY-MM-DD`) for dates without a year, which are the latest past ones; they are ignored without it
 */
export function readText(text: string, ownNames: string[] = [], today: string | null = null): ReadReview[] {
  return notesIn(text, ownNames).map((review) => ({
    ...withYear(review, today),
    ...signerAbout(text, review.authorName ?? ''),
  }))
}

/** Before its signature is read. */
type Unsigned = Omit<ReadReview, keyof SignerAbout>

function withYear(review: Unsigned, today: string | null): Unsigned {
  if (!review.writtenAt?.startsWith('--')) return review
  const writtenAt = today && latestPast(review.writtenAt, today)
  return writtenAt
    ? { ...review, writtenAt }
    : { ...review, writtenAt: null, places: { ...review.places, writtenAt: null } }
}

function notesIn(text: string, ownNames: string[]): Unsigned[] {
  const lines = linesOf(text)
  const mail = readMailHead(lines)
  if (mail) {
    if (sentByMachine.test(mail.from.email ?? '')) return []
    const { words, signedBy } = openLetter(mail.body)
    const note = alone(words)
    const name = mail.from.name ?? signedBy ?? introducedName(words)
    return reviews([{ ...note, name, date: mail.date ?? note.date, email: mail.from.email }])
  }
  const chat = readChat(trimBlank(lines))
  if (chat) {
    const turns = customersTurns(chat, ownNames)
    const note = alone(turns.flatMap(({ words }) => words))
    return reviews([{ ...note, name: turns[0]?.who ?? null, date: turns[0]?.date ?? null, email: null }])
  }
  return reviews(blocksOf(lines).map((block) => ({ ...readBlock(block), email: null })))
}

/** A block can be a letter: greeting and signature are removed first, then the edges. */
function readBlock(block: Line[]): Note {
  const { words, signedBy, signature } = openLetter(block)
  const note = readNote(words)
  const signed = readNote(signature)
  return {
    ...note,
    name: note.name ?? signedBy ?? introducedName(note.words),
    date: note.date ?? signed.date,
    rating: note.rating ?? signed.rating,
  }
}

/** A text that is complete: only its rating is extracted, and the text keeps it. */
function alone(words: Line[]): Note {
  const note = readNote(words)
  return note.name ? { ...note, name: null } : note
}

const sentByMachine = /^(?:no-?reply|do-?not-?reply|mailer-daemon|notifications?)@/iu

const rule = /^\s*(?:[-–—=*_~#]{3,}|\d{1,2}[.)]\s*)$/u

/** Several reviews in one text, split at rules, or at blank lines if each part has a rating or name. */
function blocksOf(lines: Line[]): Line[][] {
  const parted = split(lines, (line) => rule.test(line.text))
  if (parted.length > 1) return parted
  const paragraphs = split(lines, isBlank)
  if (paragraphs.length > 1 && paragraphs.every((paragraph) => standsAlone(paragraph))) return paragraphs
  const filled = trimBlank(lines).filter((line) => !isBlank(line))
  const listed = filled.map((line) => [line])
  return filled.length > 1 && paragraphs.length === 1 && listed.every((line) => standsAlone(line))
    ? listed
    : [lines]
}

function standsAlone(block: Line[]): boolean {
  const note = readNote(block)
  return note.words.length > 0 && (note.name !== null || block.some((line) => findRating(line.text) !== null))
}

function split(lines: Line[], at: (line: Line) => boolean): Line[][] {
  const parts: Line[][] = [[]]
  for (const line of lines) {
    if (at(line)) parts.push([])
    else parts.at(-1)!.push(line)
  }
  return parts.map(trimBlank).filter((part) => part.length > 0)
}

/** In a list of reviews a short one counts if it has a name. */
function isListed(note: Note): boolean {
  return note.name !== null && note.words.some(({ text }) => /\p{L}{2}/u.test(text))
}

function reviews(notes: (Note & { email: string | null })[]): Unsigned[] {
  const sure = notes.filter(isReview)
  const kept =
    notes.length > 1 && sure.length * 2 >= notes.length
      ? (note: Note) => isReview(note) || isListed(note)
      : isReview
  return notes.filter(kept).map(({ name, rating, date, words, email }) => ({
    authorName: name && inOrder(name.text),
    authorEmail: email,
    rating: rating?.rating ?? null,
    writtenAt: date?.iso ?? null,
    body: words
      .map(({ text }) => text.trimEnd())
      .join('\n')
      .trim(),
    places: {
      authorName: name && { start: name.start, end: name.end },
      rating: rating && { start: rating.start, end: rating.end },
      writtenAt: date && { start: date.start, end: date.end },
      body: words.filter((line) => !isBlank(line)).map(({ start, end }) => ({ start, end })),
    },
  }))
}

/** "Kerr, Siobhan" of an email's header becomes "Siobhan Kerr". */
function inOrder(name: string): string {
  return name.replace(/^([^,]+),\s*([^,]+)$/u, '$2 $1')
}

/** Whether a part is a review: a rating with a name, or text that is more than a question or a list. */
function isReview({ words, rating, name, quoted }: Note): boolean {
  const body = words
    .map(({ text }) => text)
    .join(' ')
    .trim()
  if (rating && (name || /\p{L}{2}/u.test(body))) return true
  const said = body
    .split(/\s+/u)
    .filter((word) => !/\/\/|www\.|@/u.test(word))
    .flatMap((word) => word.match(/\p{L}{2,}/gu) ?? [])
  if (name && quoted && said.length > 0) return true
  // Three words with a name are a review; without one they are a heading.
  if (said.length < (name || quoted ? 3 : 4)) return false
  const sentences = body
    .split(/(?<=[.!?…])\s+/u)
    .filter(
      (sentence) => (sentence.match(/\p{L}{2,}/gu) ?? []).length >= 3 || sentence.trimEnd().endsWith('?'),
    )
  if (sentences.length > 0 && sentences.every((sentence) => sentence.trimEnd().endsWith('?'))) return false
  const listed = words.filter(
    (line) => !isBlank(line) && /^\s*(?:[-*•]|\d+\s*[x×]|[\p{L} ]{2,24}:)\s*/u.test(line.text),
  )
  return listed.length < 2 || listed.length * 2 <= words.filter((line) => !isBlank(line)).length
}
