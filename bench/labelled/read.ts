import { readFileSync } from 'node:fs'

export interface Labelled {
  label: 'spam' | 'honest'
  kind: string
  language: string
  rating: number
  fill_seconds: number
  author_name: string
  author_email: string
  body: string
}

/** The shop's own domain in the labelled set. */
export const OWN_DOMAIN = 'tidemark.example'

/** Reviews for measuring, written apart from the demo's and from those of the wording model. */
export function readLabelled(): Labelled[] {
  return (['spam', 'honest'] as const).flatMap((label) =>
    readFileSync(new URL(`${label}.txt`, import.meta.url), 'utf8')
      .split('\n')
      .filter((line) => line.trim() !== '' && !line.startsWith('#'))
      .map((line) => {
        const [kind, language, rating, seconds, name, email, ...words] = line.split(' | ')
        return {
          label,
          kind: kind!,
          language: language!,
          rating: Number(rating),
          fill_seconds: Number(seconds),
          author_name: name!,
          author_email: email!,
          body: words.join(' | '),
        }
      }),
  )
}
