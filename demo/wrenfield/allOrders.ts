import type { OrderStory } from '../story'
import { letterOrders } from './allReviews'
import { orders } from './orders'
import { products } from './products'

const givenNames =
  'Alma Bertram Cerys Dougal Edda Fergus Greta Hollis Iona Jasper Keziah Linus Mattias Nerys Oskar Pia Quentin Romilly Sorcha Tamar Ulric Vesna Wyn Xanthe Yorick Zelda'.split(
    ' ',
  )
const familyNames =
  'Ackroyd Bellweather Crannoch Dunstable Eastlake Farrow Grindle Hathersage Ironside Jessop Kestrel Lorimer Mossman Northcote Oakenshaw Pemberley Quarrington Redfern Saltash Tidewell Underhay Vennor Wexcombe Yelland'.split(
    ' ',
  )
const skus = Object.keys(products).filter((sku) => sku !== 'CR-AQ' && sku !== 'NB-5')
const ALL = 300
const TWO_YEARS = 760

/** Orders without reviews, so that matching has many candidates. */
const silent = (count: number): OrderStory[] =>
  Array.from({ length: count }, (_, i) => ({
    number: `WB-${4000 + i * 7}`,
    name: `${givenNames[(i * 7) % givenNames.length]} ${familyNames[(i * 11) % familyNames.length]}`,
    placed: TWO_YEARS - Math.floor((i * TWO_YEARS) / count),
    arrivedAfter: i % 23 === 0 ? undefined : 2 + (i % 7),
    status: i % 23 === 0 ? 'cancelled' : i % 31 === 0 ? 'returned' : 'delivered',
    skus: i % 5 === 0 ? [skus[i % skus.length]!, skus[(i + 4) % skus.length]!] : [skus[i % skus.length]!],
  }))

const written: OrderStory[] = letterOrders.map(({ letter, placed, number }) => ({
  number,
  name: letter.name,
  placed,
  arrivedAfter: 5,
  status: 'delivered',
  skus: [letter.product!],
}))

export const allOrders: OrderStory[] = [
  ...orders,
  ...written,
  ...silent(ALL - orders.length - written.length),
]
