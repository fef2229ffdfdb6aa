import { trustedSubmission } from '../../core/moderation/submissionChecks'
import { orderNumberCandidates } from '../../core/moderation/signals/personal'
import type { Signal } from '../../core/moderation/signal'
import { knownOrderKeys } from '../data/orders'
import type { Shop } from '../data/shops'
import type { Services } from '../services'

/** The signals in a version that the shop corrected, which is not compared with other reviews. */
export async function weighAlone(
  { db, workers }: Services,
  shop: Shop,
  version: {
    publicId: string
    title: string
    body: string
    authorName: string
    rating: number | null
    authorEmail?: string | null
    productSku?: string
  },
): Promise<Signal[]> {
  const { signals } = await workers.run('weighArrival', {
    shopId: shop.id,
    alone: true,
    changed: true,
    arriving: {
      id: version.publicId,
      title: version.title,
      body: version.body,
      rating: version.rating,
      authorName: version.authorName,
      authorEmail: version.authorEmail ?? '',
      ip: '',
      receivedAt: null,
      product: version.productSku ?? '',
      fillSeconds: null,
      verified: null,
    },
    circumstances: {
      ownDomains: shop.ownDomains,
      knownOrderKeys: await knownOrderKeys(db, shop.id, orderNumberCandidates(version)),
      ...trustedSubmission,
    },
  })
  return signals
}
