import { adapterFor } from '../../core/listing/origins'
import type { SheetMatching } from '../../core/listing/matching'
import { OriginRefusal, type RefusalCode } from '../../core/listing/originRefusal'
import { findListing, insertListing } from '../data/listings'
import { productWithSku } from '../data/products'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { sealAccessKey } from './accessKey'
import { askForCheck } from './checkListing'
import { copyPicture } from './copyPortraits'
import { describeListing, storedId, storedKey, type Described } from './understand'

const PICTURE_PX = 512

export interface NewConnection {
  origin: string
  kind: 'listing' | 'post'
  id: string
  /** Empty uses the one that the shop has given for the site. */
  accessKey: string
  languages: string[]
  /** A SKU; empty for none. */
  product: string
  tag: string
  arrivesAs: 'waiting' | 'approved'
  /** How the owner calls a sheet or page; empty takes what it calls itself. */
  name?: string
  /** Of the columns of a sheet, without the time zone. */
  matching?: OwnMatching | null
}

export type OwnMatching = Omit<SheetMatching, 'timeZone'>

type ConnectOutcome =
  | { outcome: 'connected' | 'already'; listing: string }
  | { outcome: 'refused'; refusal: RefusalCode }

/** Tries an access key with a business. */
export async function tryAccessKey(
  services: Services,
  shop: Shop,
  { origin, id, accessKey }: Pick<NewConnection, 'origin' | 'id' | 'accessKey'>,
): Promise<{ described: Described } | { refusal: RefusalCode }> {
  const adapter = adapterFor(services.origins, { origin, externalId: id, matching: null })
  if (!adapter) return { refusal: 'unknown' }
  try {
    return {
      described: await describeListing(services, shop, adapter, { kind: 'listing', id }, accessKey.trim()),
    }
  } catch (error) {
    if (error instanceof OriginRefusal) return { refusal: error.code }
    throw error
  }
}

/** Connects a business or post, as the site describes it now, and queues its first read. */
export async function connectListing(
  services: Services,
  shop: Shop,
  given: NewConnection,
): Promise<ConnectOutcome> {
  const { db, now, newId } = services
  const { origin, kind } = given
  const id = storedId(origin, given.id)
  const matching = given.matching ? { ...given.matching, timeZone: shop.timeZone } : null
  const adapter = adapterFor(services.origins, { origin, externalId: id, matching })
  if (!adapter) return { outcome: 'refused', refusal: 'unknown' }
  const accessKey = given.accessKey.trim() || (await storedKey(services, shop, origin))
  let described: Described
  try {
    described = await describeListing(services, shop, adapter, { kind, id }, accessKey)
  } catch (error) {
    if (error instanceof OriginRefusal) return { outcome: 'refused', refusal: error.code }
    throw error
  }
  const { business, post } = described
  if (business?.sheet && !matching) return { outcome: 'refused', refusal: 'columns' }
  const product = await productWithSku(db, shop.id, given.product)
  const picture = await copyPicture(services, shop.id, business?.picture ?? null, PICTURE_PX)
  const at = now().toISOString()
  const result = await writing(db, async (trx): Promise<ConnectOutcome> => {
    const known = await findListing(trx, shop.id, { origin, externalId: id })
    if (known) return { outcome: 'already', listing: known.publicId }
    const publicId = newId()
    const listingId = await insertListing(trx, {
      shopId: shop.id,
      publicId,
      origin,
      kind,
      externalId: id,
      name: given.name?.trim() || business?.name || post?.authorName || adapter.name,
      street: business?.street ?? '',
      url: business?.url ?? post!.url,
      writeUrl: business?.writeUrl ?? null,
      picture,
      average: business?.average ?? null,
      scale: adapter.scale,
      count: business?.count ?? (post ? 1 : null),
      languages: given.languages,
      productId: product?.id ?? null,
      tag: given.tag.trim(),
      arrivesAs: given.arrivesAs,
      accessKey: accessKey ? sealAccessKey(services, accessKey) : null,
      matching: business?.sheet ? matching : null,
      // Its raw columns are for the owner alone until she says otherwise.
      isLinked: !business?.sheet,
      createdAt: at,
    })
    await askForCheck(trx, { shopId: shop.id, id: listingId }, at)
    await markAllStale(trx, shop.id, at)
    return { outcome: 'connected', listing: publicId }
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
  return result
}
