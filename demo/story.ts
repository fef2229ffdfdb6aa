import type { Writers } from '../core/intake/writers'
import type { Act } from '../core/moderation/likelyAct'
import type { Configuration } from '../core/display/configuration'
import type { Form } from '../server/data/forms'
import type { Shop } from '../server/data/shops'

/** The data of a demo shop. Times are days before the fill, so that it never looks old. */
export interface ShopStory {
  shop: Omit<Shop, 'id' | 'publicId'>
  form: { slug: string; heading: string; intro: string; writers: Writers }
  moreForms: FormStory[]
  products: Record<string, string>
  /** SVG drawings: of products by SKU, of people by name. */
  pictures: { products: Record<string, string>; portraits: Record<string, string> }
  orders: OrderStory[]
  reviews: ReviewStory[]
  displays: DisplayStory[]
  listings: ListingStory[]
}

export type FormStory = Pick<Form, 'slug' | 'name' | 'state' | 'design'>

/** A page of the shop on another site. */
export interface ListingStory {
  origin: string
  kind: 'listing' | 'post'
  id: string
  /** For a post: the profile whose newest it is. */
  of?: string
  tag?: string
  accessKey?: string
  /** Of a sheet: its name, and the questions of its columns by heading. The id is its path. */
  sheet?: { name: string; questions: Record<string, string> }
  /** Whether the site refuses the access key since. */
  withdrawn?: boolean
}

export interface DisplayStory {
  key: string
  name: string
  /** The page of the stand-in site that it belongs to. */
  path: string
  configuration: Configuration
  /** Slugs of forms that it shows alone. */
  forms?: string[]
  /** Ids of listings on their sites that it shows alone. */
  listings?: string[]
  live: boolean
}

export interface OrderStory {
  number: string
  name: string
  /** Days ago. */
  placed: number
  /** Days after the order; absent if not delivered. */
  arrivedAfter?: number
  status: 'delivered' | 'refunded' | 'returned' | 'shipped' | 'placed' | 'cancelled'
  skus: string[]
}

export interface ReviewStory {
  /** Days ago. */
  came: number
  rating: 1 | 2 | 3 | 4 | 5 | null
  name: string
  /** Derived from the name if absent. */
  email?: string
  product?: string
  order?: string
  title?: string
  body: string
  /** Seconds between opening and sending the form. */
  took: number
  mayShow?: false
  /** Sent without the form's page, or with the hidden field filled in. */
  odd?: 'noToken' | 'trap'
  then?: Act
  /** Photos: an SVG drawing with its description. */
  photos?: { drawn: string; shows: string }[]
  /** The shop's public reply. */
  reply?: string
  /** Sent through another form than the first, with answers to its questions by the names of their fields. */
  through?: { form: string; answers: Record<string, string | string[]> }
  /** Added by the shop. */
  byHand?: { role: string; company: string; portrait: string }
}
