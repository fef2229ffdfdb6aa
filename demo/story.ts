import type { Writers } from '../core/intake/writers'
import type { Act } from '../core/moderation/likelyAct'
import type { Configuration } from '../core/display/configuration'
import type { Shop } from '../server/data/shops'

/** A made-up shop as the demo tells it. Times are days before the moment of filling, so that it never grows old. */
export interface ShopStory {
  shop: Omit<Shop, 'id' | 'publicId'>
  form: { slug: string; heading: string; intro: string; writers: Writers }
  products: Record<string, string>
  /** Drawn pictures, as SVG: of products by SKU, of people by name. */
  pictures: { products: Record<string, string>; portraits: Record<string, string> }
  orders: OrderStory[]
  reviews: ReviewStory[]
  displays: DisplayStory[]
}

export interface DisplayStory {
  key: string
  name: string
  /** The page of the stand-in site that it is made for. */
  path: string
  configuration: Configuration
  live: boolean
}

export interface OrderStory {
  number: string
  name: string
  /** Days ago. */
  placed: number
  /** Days after it was placed; absent when it has not arrived. */
  arrivedAfter?: number
  status: 'delivered' | 'refunded' | 'returned' | 'shipped' | 'placed' | 'cancelled'
  skus: string[]
}

export interface ReviewStory {
  /** Days ago. */
  came: number
  rating: 1 | 2 | 3 | 4 | 5 | null
  name: string
  /** Left out, it is made from the name. */
  email?: string
  product?: string
  order?: string
  title?: string
  body: string
  /** Seconds between opening the form and sending it. */
  took: number
  mayShow?: false
  /** Sent past the form's page, or with the hidden field filled in. */
  odd?: 'noToken' | 'trap'
  then?: Act
  /** Photos that came with it: what is to be seen, as SVG, and what she says it shows. */
  photos?: { drawn: string; shows: string }[]
  /** What the shop answered in public. */
  reply?: string
  /** Written down by the shop for a customer. */
  byHand?: { role: string; company: string; portrait: string }
}
