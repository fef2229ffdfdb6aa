import { sampleQuotations } from '../../core/messages/display/sampleQuotations'
import { scopeOf, type Selection } from '../../core/curation/selection'
import { ownSources } from '../../core/intake/sourcePolicy'
import { OWN_REVIEWS } from '../../core/display/asked'
import { sentLimit } from '../../core/display/bands'
import { layoutTraits } from '../../core/display/layoutTraits'
import { MAX_PAGED, pageCount, type Paging } from '../../core/display/paging'
import { displayModel, type Asked, type DisplayModel } from '../../core/display/displayModel'
import { withPresentSkus } from '../../core/display/presentSkus'
import type { DisplayShop, ShowableReview } from '../../core/display/showableReview'
import type { Configuration } from '../../core/display/configuration'
import { adapterFor, placeName } from '../../core/listing/origins'
import type { OriginAdapter } from '../../core/listing/originAdapter'
import { listingsOf, type ShownListing } from '../../core/display/origins'
import { firstOpenForm, formNames, questionsOfShop } from '../data/forms'
import { listingsOfShop, type Listing } from '../data/listings'
import { looksOfShop } from '../data/looks'
import { productsWithSkus, skuKey, type Product } from '../data/products'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { readPublishable } from './publishable'

/** The data of a shop for its displays. */
async function displayShop(
  { db, origins }: Pick<Services, 'db' | 'origins'>,
  shop: Shop,
): Promise<DisplayShop> {
  return {
    name: shop.name,
    shortName: shop.shortName,
    locale: shop.locale,
    timeZone: shop.timeZone,
    products: {},
    listings: Object.fromEntries(
      (await listingsOfShop(db, shop.id, true)).map((listing) => [
        listing.publicId,
        shownListing(origins, listing),
      ]),
    ),
    forms: await formNames(db, shop.id),
    questions: await questionsOfShop(db, shop.id),
    looks: Object.fromEntries((await looksOfShop(db, shop.id)).map(({ publicId, name }) => [publicId, name])),
    logo: shop.logo,
    site: {
      background: shop.background,
      textColour: shop.textColour,
      brand: shop.brand,
      corners: shop.corners,
    },
  }
}

function shownListing(origins: OriginAdapter[], listing: Listing): ShownListing {
  const { publicId, origin, name, url, writeUrl, picture, average, scale, count, state, isLinked } = listing
  return {
    publicId,
    origin,
    site: placeName(origins, listing),
    icon: adapterFor(origins, listing)?.icon ?? '',
    name,
    url: isLinked ? url : null,
    writeUrl,
    picture,
    average,
    scale,
    count,
    isConnected: state !== 'disconnected',
  }
}

/** The names of listings, forms and looks by public id, for sentences. */
const namesIn = ({ listings, forms, looks }: DisplayShop): Record<string, string> => ({
  ...looks,
  ...forms,
  ...Object.fromEntries(
    Object.values(listings).map(({ publicId, site, name }) => [
      publicId,
      site === name ? name : `${site} (${name})`,
    ]),
  ),
})

/** The targets of links in displays. */
async function displayLinks({ db, publicUrl }: Services, shop: Shop) {
  const form = await firstOpenForm(db, shop.id)
  return {
    write: form ? `${publicUrl}/f/${form.slug}` : null,
    how: `${publicUrl}/how/${shop.slug}`,
  }
}

interface Composing {
  key: string
  asked?: Asked
  /** Whether samples stand for the reviews of a shop that has none. */
  samples?: boolean | 'always'
  /** What is shown instead of the selected reviews. */
  changed?: (picked: ShowableReview[]) => ShowableReview[]
}

/** The data of a shop that its displays share, read once for any number of displays. */
export async function composer(services: Services, shop: Shop) {
  const { now, publicUrl } = services
  const [publishable, forDisplays, links] = await Promise.all([
    readPublishable(services.db, shop),
    displayShop(services, shop),
    displayLinks(services, shop),
  ])
  const otherNames = namesIn(forDisplays)
  const products = new Map<string, Product | undefined>()
  async function read(skus: string[]): Promise<void> {
    const missing = skus.filter((sku) => !products.has(skuKey(sku)))
    if (missing.length === 0) return
    const found = await productsWithSkus(services.db, shop.id, missing)
    for (const sku of missing) products.set(skuKey(sku), found.get(skuKey(sku)))
  }
  const known = (typed: string) => products.get(skuKey(typed))
  async function skuOf(typed: string): Promise<string | undefined> {
    await read([typed])
    return known(typed)?.sku
  }
  async function present(configuration: Configuration): Promise<Configuration> {
    const { products: chosen } = configuration.selection
    if (chosen.kind !== 'chosen') return configuration
    await read(chosen.skus)
    return withPresentSkus(configuration, (sku) => known(sku)?.sku)
  }
  /** The titles of the products that were asked for so far, by SKU. */
  const titles = () =>
    Object.fromEntries([...products.values()].flatMap((one) => (one ? [[one.sku, one.title]] : [])))
  /** Which page of a display is asked for, if it is shown by pages. */
  async function pagingOf(
    { layout }: Configuration,
    selection: Selection,
    key: string,
    asked: Asked,
  ): Promise<Paging | null> {
    if (layout.paging === 'none' || !layoutTraits[layout.kind].paged) return null
    const size = asked.limit ?? selection.limit
    const total = Math.min(MAX_PAGED, await publishable.fittingCount(selection, asked))
    const pages = pageCount(total, size)
    const { page = 1 } = asked
    const address = `${publicUrl}/d/${key}?${new URLSearchParams({ ...attributesOf(asked), page: '' }).toString()}`
    return { kind: layout.paging, page: Math.min(page, pages), pages, total, address }
  }

  return {
    publishable,
    shop: forDisplays,
    /** The present SKU of the product that has or had a SKU; undefined if there is no such product. */
    skuOf,
    /** A configuration with the present SKUs of its products. */
    present,
    /** The names of what configurations refer to, for sentences, once they are `present`. */
    names: (): Record<string, string> => ({ ...titles(), ...otherNames }),
    /** The content of a configuration on a page, and the reviews that it selects. */
    compose: async (
      stored: Configuration,
      { key, asked = {}, samples = false, changed = (picked) => picked }: Composing,
    ): Promise<{ model: DisplayModel; picked: ShowableReview[] }> => {
      const configuration = await present(stored)
      if (asked.product) await read([asked.product])
      const { selection } = configuration
      const chosen = readBy(selection, asked.origin, forDisplays)
      const paging = await pagingOf(configuration, chosen, key, asked)
      const size = asked.limit ?? (paging ? selection.limit : sentLimit(configuration))
      const upTo = { ...asked, limit: paging ? paging.page * size : size }
      const picked = (await publishable.pick(chosen, upTo)).slice(paging ? (paging.page - 1) * size : 0)
      const model = displayModel({
        configuration,
        shop: { ...forDisplays, products: titles() },
        picked: changed(picked),
        totals: await publishable.totals(scopeOf(selection, asked), selection),
        links: {
          ...links,
          all: `${publicUrl}/d/${key}/all${asked.product ? `?product=${encodeURIComponent(asked.product)}` : ''}`,
        },
        mediaUrl: `${publicUrl}/media/`,
        fontsUrl: `${publicUrl}/fonts/`,
        paging,
        now: now().toISOString(),
        asked,
        samples: samples === 'always' || (samples && publishable.size === 0) ? sampleQuotations() : [],
      })
      return { model, picked }
    },
  }
}

/** The attributes of an embed code, as they stand in an address. */
const attributesOf = ({ product, limit, language, scheme }: Asked): Record<string, string> => ({
  ...(product && { product }),
  ...(limit && { limit: String(limit) }),
  ...(language && { lang: language }),
  ...(scheme && { theme: scheme }),
})

/** A selection restricted to the reviews of one site, or to those that came to the shop. */
function readBy(selection: Selection, origin: string | undefined, { listings }: DisplayShop): Selection {
  if (origin === undefined) return selection
  if (origin === OWN_REVIEWS) return { ...selection, sources: chosenOwn(selection), listings: [] }
  const there = listingsOf(listings, selection).filter((listing) => listing.origin === origin)
  return {
    ...selection,
    sources: [],
    forms: [],
    listings: there.length > 0 ? there.map(({ publicId }) => publicId) : ['-'],
  }
}

const chosenOwn = ({ sources, forms }: Selection) => {
  const some = ownSources.filter((source) => sources.includes(source))
  return some.length + forms.length > 0 ? some : ownSources
}

export type Composer = Awaited<ReturnType<typeof composer>>
