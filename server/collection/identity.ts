import type { Candidate } from '../../core/intake/candidate'
import type { StoredIdentity } from '../data/knownReviews'
import { hashToken } from './formToken'

const nothing: StoredIdentity = {
  reviewId: null,
  tokenHash: null,
  origin: '',
  externalKey: null,
}

/** How the identity of a candidate is stored. */
export function storedIdentity({ identity }: Pick<Candidate, 'identity'>): StoredIdentity {
  switch (identity.by) {
    case 'token':
      return { ...nothing, tokenHash: hashToken(identity.token) }
    case 'externalKey':
      return { ...nothing, origin: identity.origin, externalKey: identity.key }
    case 'review':
      return { ...nothing, reviewId: identity.id }
    case 'nothing':
      return nothing
  }
}
