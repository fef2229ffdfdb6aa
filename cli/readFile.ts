import { readFileSync } from 'node:fs'
import path from 'node:path'
import { readText } from '../core/intake/text/readText'

/** A review that an import would store, under the public field names. Missing values are null. */
interface ReadFile {
  reviews: {
    author_name: string | null
    author_email: string | null
    rating: number | null
    rating_given: number | null
    rating_scale: number | null
    title: string | null
    body: string
    written_at: string | null
    product: null
    external_url: null
    consent: null
    answers: null
  }[]
  skipped: { row: number; reason: string }[]
  mapping: Record<string, string>
}

const kindsByEnding: Record<string, string> = { '.txt': 'text', '.md': 'text', '': 'text' }

/**
 * Reads a file without a database.
 * @param today (`YYYY-MM-DD`) for dates without a year
 * @throws Error that names the file, or the unsupported kind
 */
export function readFile(file: string, as: string | undefined, today: string): ReadFile {
  const kind = as ?? kindsByEnding[path.extname(file).toLowerCase()]
  if (kind !== 'text') throw new Error(`${file}: only text can be read so far; say --as text to read it so.`)
  const text = readFileSync(file, 'utf8').replace(/^\uFEFF/, '')
  return {
    reviews: readText(text, [], today).map(({ authorName, authorEmail, rating, body, writtenAt }) => ({
      author_name: authorName,
      author_email: authorEmail,
      rating: rating && rating.hundredths / 100,
      rating_given: rating && rating.given,
      rating_scale: rating && rating.scale,
      title: null,
      body,
      written_at: writtenAt,
      product: null,
      external_url: null,
      consent: null,
      answers: null,
    })),
    skipped: [],
    mapping: {},
  }
}
