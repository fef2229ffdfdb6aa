import { partOf, type Line } from './lines'
import { findDate } from './date'

/** The header of a pasted email. */
interface MailHead {
  from: { name: Line | null; email: string | null }
  date: { iso: string; start: number; end: number } | null
  body: Line[]
}

const headers: [keyof Omit<MailHead, 'body'> | 'other', RegExp][] = [
  ['from', /^\s*\*?(?:from|von|de|od|da|van|expéditeur|remitente)\*?\s*:\s*/iu],
  [
    'date',
    /^\s*\*?(?:date|sent|datum|gesendet|envoyé|fecha|enviado|data|wysłano|inviato|verzonden)\*?\s*:\s*/iu,
  ],
  [
    'other',
    /^\s*\*?(?:to|cc|bcc|reply-to|subject|an|betreff|antwort\s+an|à|objet|para|asunto|do|temat|dw|a|oggetto|aan|onderwerp|message-id|priority|importance)\*?\s*:\s*/iu,
  ],
]

/** Reads an email's header in eight languages; null if the text doesn't begin with one. */
export function readMailHead(lines: Line[]): MailHead | null {
  const first = lines.findIndex((line) => line.text.trim() !== '')
  if (first < 0) return null
  const head: MailHead = { from: { name: null, email: null }, date: null, body: [] }
  let seen = 0
  let i = first
  for (; i < lines.length; i++) {
    const line = lines[i]!
    const header = headers.find(([, pattern]) => pattern.test(line.text))
    if (!header) break
    const value = partOf(line, header[1].exec(line.text)![0].length)
    if (header[0] === 'from') head.from = sender(value)
    if (header[0] === 'date') {
      const date = findDate(value.text)
      if (date) head.date = { iso: date.iso, start: value.start + date.start, end: value.start + date.end }
    }
    seen++
  }
  const named = head.from.name !== null || head.from.email !== null
  if (seen < 2 || !named) return null
  return { ...head, body: lines.slice(i) }
}

/** "Anna Berg <anna@berg.example>", in the usual spellings. */
function sender(value: Line): MailHead['from'] {
  const email = /[\p{L}\p{N}._%+-]+@[\p{L}\p{N}.-]+\.\p{L}{2,}/u.exec(value.text)?.[0] ?? null
  const shown = value.text
    .split(/[<[(]|(?:mailto:)/iu)[0]!
    .replace(/["']/g, ' ')
    .trim()
  if (!shown || shown === email) return { name: null, email }
  const from = value.text.indexOf(shown)
  return { name: partOf(value, from, from + shown.length), email }
}
