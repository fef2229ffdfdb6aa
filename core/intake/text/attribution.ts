import { findDate } from './date'
import { firstPart } from './letter'
import { looksLikeName } from './personLike'
import { findRating } from './rating'

const said = String.raw`(?:called|rang|phoned|wrote|writes|said|says|told\s+(?:me|us)|e?mailed|texted|messaged|stopped\s+by|came\s+(?:in|by)|left\s+a\s+(?:note|card|message)|sagte|sagt|schrieb|schreibt|rief\s+an|meinte|dijo|escribió|llamó|a\s+dit|a\s+écrit|a\s+appelé|napisała?|zadzwoniła?|powiedziała?|ha\s+scritto|ha\s+detto|schreef|zei|belde|(?:on|by|over|per|am|par|por|via|przez|al|aan\s+de)\s+(?:the\s+|el\s+)?(?:phone|telefon|téléphone|teléfono|telefono|telefoon|mail|e-?mail|chat))`
const contact = String.raw`(?:phone\s+)?(?:feedback|review|testimonial|comment|quote|praise|call|phone|note|(?:post)?card|letter|mail|e-?mail|message|text|chat|anruf|karte|brief|nachricht|appel|carte|lettre|llamada|tarjeta|carta|telefon|kartka|list|telefonata|biglietto|lettera|telefoontje|kaart|brief)`
const preposition = String.raw`(?:from|with|by|of|von|mit|de|d['’]|avec|con|od|da|van|met)`

/** A name, optionally with a role, place or company after it. */
export function isNameAndLittle(text: string): boolean {
  const name = firstPart(text)
  const little = text.slice(name.length)
  return (
    looksLikeName(name) && !/[:!?;]|\.\s/u.test(little) && little.split(/\s+/).filter(Boolean).length <= 6
  )
}

/** Text without its rating, date and separators. */
export function bareOf(text: string): string {
  const rating = findRating(text)
  const noRating = rating ? text.slice(0, rating.start) + ' ' + text.slice(rating.end) : text
  const date = findDate(noRating)
  return (date ? noRating.slice(0, date.start) + ' ' + noRating.slice(date.end) : noRating)
    .replace(/\(\s*\)/g, '')
    .replace(/^[\s\-–—~|,;:.()[\]"“„*•]+|[\s\-–—~|,;:.([\]"”*•]+$/gu, '')
    .trim()
}

const bareContact = new RegExp(`^(?:a\\s+)?${contact}(?:\\s+(?:note|call))?$`, 'iu')

/** The name in an introduction; '' if it contains only a rating or date; null if it is no introduction. */
export function leadName(text: string): string | null {
  if (text === '' || bareContact.test(text)) return ''
  const spoken = new RegExp(
    `^(?<name>.{2,40}?)\\s+(?:\\(.{1,40}\\)\\s+)?(?:just\\s+)?${said}(?!\\p{L})`,
    'iu',
  ).exec(text)?.groups?.name
  const called = new RegExp(
    `^(?:notes?\\s+${preposition}\\s+|(?:rec(?:eived|['’]?d)|got|had)\\s+(?:this\\s+)?(?:(?:on|in|by)\\s+)?)?(?:(?:the|a|our|my)\\s+)?${contact}\\s+${preposition}\\s*(?<name>\\p{Lu}.{1,80})$`,
    'iu',
  ).exec(text)?.groups?.name
  const name = firstPart(spoken ?? called?.replace(/\s+(?:in|aus|from|at|of)\s+\p{Lu}.*$/u, '') ?? text)
  return looksLikeName(name) ? name : null
}

const nobody = /^(?:anonym(?:ous|e|o|us)?|anónim[oa]|unknown|unbekannt|no\s+name|a\s+(?:customer|guest))$/iu

/** The name after the review; '' if it contains only a rating or date; null if it is none of these. */
export function tailName(text: string): string | null {
  if (text === '' || nobody.test(text)) return ''
  return isNameAndLittle(text) ? firstPart(text) : null
}

/** An introduction ends after a colon, or after a dash that follows a name or rating. */
export function leadEnd(text: string): number | null {
  // Quoted text is the review, not the name.
  if (/^\s*["“„«‚‘]/u.test(text)) return null
  const colon = /^(.{1,90}?):(?!\/\/|\d)\s*/u.exec(text)
  if (colon && leadName(bareOf(colon[1]!)) !== null) return colon[0].length
  const dash = /^(.{1,60}?)\s+[-–—|]\s+/u.exec(text)
  if (dash && leadName(bareOf(dash[1]!)) !== null) return dash[0].length
  const says = new RegExp(
    `^(.{2,40}?)\\s+(?:just\\s+)?${said}\\s+(?:that\\s+|dass\\s+|que\\s+|że\\s+|che\\s+|dat\\s+)?(?=\\S)`,
    'iu',
  ).exec(text)
  if (says && looksLikeName(says[1]!)) return says[0].length
  const rating = findRating(text)
  const after = rating && /^[\s]*[-–—:|,.!]+\s+(?=\S)/u.exec(text.slice(rating.end))
  if (rating && rating.start === 0 && after) return rating.end + after[0].length
  return rating && rating.start === 0 && /^[★⭐🌟*]/u.test(text) ? rating.end : null
}

const MAX_TAIL_LENGTH = 90
/** Characters between the review and the name after it. */
const MAX_PARTING_LENGTH = 30

/** The beginning of a closing name: a dash or a bracket, followed by a name, rating or date up to the end. */
export function tailStart(text: string): number | null {
  const from = Math.max(0, text.length - MAX_TAIL_LENGTH - MAX_PARTING_LENGTH)
  for (const match of [
    ...text
      .slice(from)
      .matchAll(
        /(?:\s+[-–—~|]{1,2}\s*|(?<=[”"“»])\s*[-–—,]?\s*|\s*\((?=[^)]*\)\s*$)|(?<=[.!?…])\s+(?=\p{Lu}))/gu,
      ),
  ].reverse()) {
    const at = from + match.index
    // An opening quotation mark doesn't end the review.
    if (at < 3) continue
    const about = text.slice(at + match[0].length)
    if (!about || about.length > MAX_TAIL_LENGTH) continue
    const name = tailName(bareOf(about))
    const rated = findRating(about) !== null || findDate(about) !== null
    // After a full stop, a name alone can be the first word of the next sentence.
    const parted = match[0].trim() !== '' || !/[.!?…]$/u.test(text.slice(0, at))
    if (name !== null && (name !== '' ? parted || rated : rated && parted)) return at
  }
  const rating = findRating(text)
  return rating &&
    rating.end === text.trimEnd().length &&
    /[.!?…"”]\s*[-–—(]?\s*$/u.test(text.slice(0, rating.start))
    ? rating.start
    : null
}
