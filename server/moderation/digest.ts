import { createHash } from 'node:crypto'

/** A salted digest of a version's content. It proves nothing once the salt is deleted with the version. */
export function digestOfVersion(version: {
  salt: string
  title: string
  body: string
  authorName: string
  rating: number | null
}): string {
  const said = JSON.stringify([version.title, version.body, version.authorName, version.rating])
  return createHash('sha256').update(`${version.salt}.${said}`).digest('hex')
}
