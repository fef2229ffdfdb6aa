import { createHash } from 'node:crypto'
import type { Candidate } from '../../core/intake/candidate'
import type { StoredIdentity } from '../data/knownReviews'
import { hashToken } from './formToken'

const nothing: StoredIdentity = {
  reviewId: null,
  tokenHash: null,
  origin: '',
  externalKey: null,
  sameWords: null,
}

/** How the identity of a candidate is stored. Two strangers with the same words are two reviews. */
export function storedIdentity(
  candidate: Pick<Candidate, 'identity' | 'authorEmail' | 'productSku' | 'title' | 'body'>,
): StoredIdentity {
  const { identity } = candidate
  switch (identity.by) {
    case 'token':
      return { ...nothing, tokenHash: hashToken(identity.token) }
    case 'externalKey':
      return { ...nothing, origin: identity.origin, externalKey: identity.key }
    case 'review':
      return { ...nothing, reviewId: identity.id }
    case 'words':
      return { ...nothing, sameWords: digestOfWords(candidate) }
    case 'nothing':
      return nothing
  }
}

function digestOfWords({
  authorEmail,
  productSku,
  title,
  body,
}: Pick<Candidate, 'authorEmail' | 'productSku' | 'title' | 'body'>): string | null {
  const emailKey = authorEmail.trim().toLowerCase()
  if (emailKey === '') return null
  return createHash('sha256')
    .update(JSON.stringify([emailKey, productSku.trim().toLowerCase(), title.trim(), body.trim()]))
    .digest('hex')
}
