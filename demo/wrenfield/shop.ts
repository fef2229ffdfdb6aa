import { moreForms } from './forms'
import { customerLanguages } from '../../core/messages/customers/languages'
import type { ShopStory } from '../story'
import { allOrders } from './allOrders'
import { allReviews } from './allReviews'
import { displays } from './displays'
import { listings } from './listings'
import { pictures } from './pictures'
import { products } from './products'

const hexagon =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><path fill="#e9b949" d="M16 1 29 8.5v15L16 31 3 23.500V8.500z"/><path fill="#fff" d="M16 10l5.2 3v6L16 22l-5.2-3v-6z"/></svg>'

export const wrenfield: ShopStory = {
  shop: {
    slug: 'wrenfield',
    name: 'Wrenfield Bee Supply',
    shortName: 'Wrenfield',
    ownDomains: ['wrenfield.example'],
    brand: '#e9b949',
    logo: `data:image/svg+xml;base64,${Buffer.from(hexagon).toString('base64')}`,
    locale: 'en-GB',
    timeZone: 'Europe/London',
    siteUrl: '/',
    description: 'Hive kits, suits, smokers, extractors and feed, and a weekend course for beginners.',
    background: '#fcf7eb',
    textColour: '#2a241a',
    corners: 6,
    fonts: '"Literata Variable", Georgia, serif',
    replyName: 'Mara at Wrenfield',
    languages: ['en', 'de'],
    customerLanguages: [...customerLanguages],
  },
  form: {
    slug: 'tell-us',
    heading: '',
    intro: '',
    writers: 'anyone',
  },
  moreForms,
  products,
  pictures,
  orders: allOrders,
  reviews: allReviews,
  displays,
  listings,
}
