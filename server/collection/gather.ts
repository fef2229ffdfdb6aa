import type { Writers } from '../../core/intake/writers'
import { ordersSince } from '../data/orders'
import { arrivalsOfForm, formsOfShop, updateWriters, type Form } from '../data/forms'
import { arrivalsSince, latestReviews, writtenDownSince, type ReviewLine } from '../data/reviewLists'
import { productsOfShop, productsWithoutReview, type Product, type Shop } from '../data/shops'
import type { Services } from '../services'

const THIRTY_DAYS_MS = 30 * 86_400_000
const LATEST = 8

/** The moment from which an arrival is a recent one. */
export function recently(now: Date): string {
  return new Date(now.getTime() - THIRTY_DAYS_MS).toISOString()
}

/** What Gather shows: how much came in these 30 days, the sources, the latest arrivals. */
export interface GatherView {
  arrivals: { count: number; verified: number }
  forms: (Pick<Form, 'publicId' | 'slug' | 'heading' | 'open' | 'writers'> & {
    address: string
    arrivals: number
  })[]
  /** How many the shop wrote down itself in these 30 days. */
  writtenDown: number
  latest: ReviewLine[]
  /** Products without a review, of so many. */
  quiet: (Pick<Product, 'sku' | 'title' | 'picture'> & { sold: number })[]
  products: number
  /** Orders placed in these 30 days. */
  orders: number
  /** Whether emails go out, without which nobody can confirm an email address. */
  mails: boolean
}

export async function gatherView({ db, now, publicUrl, mailer }: Services, shop: Shop): Promise<GatherView> {
  const since = recently(now())
  const forms = await formsOfShop(db, shop.id)
  return {
    arrivals: await arrivalsSince(db, shop.id, since),
    forms: await Promise.all(
      forms.map(async ({ id, publicId, slug, heading, open, writers }) => ({
        publicId,
        slug,
        heading,
        open,
        writers,
        address: `${publicUrl}/f/${slug}`,
        arrivals: await arrivalsOfForm(db, shop.id, id, since),
      })),
    ),
    writtenDown: await writtenDownSince(db, shop.id, since),
    latest: await latestReviews(db, shop.id, LATEST),
    quiet: await productsWithoutReview(db, shop.id),
    mails: mailer !== null,
    orders: await ordersSince(db, shop.id, since),
    products: (await productsOfShop(db, shop.id)).length,
  }
}

/** Sets who may write through a form; what came before stays as it was. Answers false for no form of this shop. */
export function setWriters(
  { db }: Services,
  shop: Shop,
  publicId: string,
  writers: Writers,
): Promise<boolean> {
  return updateWriters(db, shop.id, publicId, writers)
}
