import { createHash } from 'node:crypto'
import type { Answer } from '../../core/intake/answer'

/** A salted digest of a version's content. It proves nothing once the salt is deleted with the version. */
export function digestOfVersion(version: {
  salt: string
  title: string
  body: string
  authorName: string
  rating: number | null
  answers: Answer[]
}): string {
  const { title, body, authorName, rating, answers } = version
  // Digests from before there were answers still fit.
  const said = JSON.stringify([title, body, authorName, rating, ...(answers.length > 0 ? [answers] : [])])
  return createHash('sha256').update(`${version.salt}.${said}`).digest('hex')
}
