import { layouts } from '../../core/display/choices'
import { customerLanguages } from '../../core/messages/customers/languages'

/** A page or answer that is compared; `member` asks as somebody who is signed in. */
export interface Asked {
  path: string
  language?: string
  member?: boolean
}

const displays = [
  'front-page',
  'product-page',
  'beside-names',
  'side-column',
  'summer-band',
  'on-the-map',
  'tasting-day',
  'clubs-answer',
  'everywhere',
  'at-the-edge',
  'all-in-numbers',
  'workshop-wall',
  ...layouts.map((layout) => `tried-${layout.toLowerCase()}`),
]

const variants = [
  'product=HK-1',
  'product=HK-1&lang=de',
  'product=HK-1&theme=dark',
  'lang=de',
  'lang=fr',
  'lang=es',
  'lang=it',
  'theme=dark',
  'theme=light',
  'limit=3',
  'limit=2&lang=fr&theme=dark',
  'page=2',
]

const ofMembers = [
  'gather',
  'gather/write',
  'gather/products',
  'gather/products?q=hive',
  'gather/connect',
  'gather/orders',
  'gather/forms/new',
  'decide?lane=waiting',
  'decide?lane=held',
  'decide?lane=approved',
  'decide?lane=approved&rating=5&q=box',
  'decide?lane=spam',
  'decide/download?lane=approved',
  'show',
  'show/new',
  'show/front-page',
  'show/clubs-answer',
  'show/everywhere?product=HK-1',
  'show/front-page/miniatures',
  'settings',
  'settings/style',
  'settings/languages',
  'settings/email',
  'settings/account',
  'settings/learning',
  'settings/jobs',
  'settings/problems',
]

/** What is asked for, in this order. The emails that the application sent in the meantime come after it. */
export const asked: Asked[] = [
  ...displays.flatMap((key) => ['.json', '', '/all'].map((kind) => ({ path: `/d/${key}${kind}` }))),
  ...variants.map((variant) => ({ path: `/d/front-page.json?${variant}` })),
  { path: '/d/tried-list/part?page=2' },
  ...['tell-us', 'clubs', 'how-was-it'].flatMap((slug) =>
    customerLanguages.map((language) => ({ path: `/f/${slug}`, language })),
  ),
  { path: '/f/tell-us?product=HK-1' },
  { path: '/f/tell-us/frame' },
  { path: '/f/tell-us/products?q=hive' },
  ...['wrenfield', 'saltmarsh'].flatMap((shop) =>
    customerLanguages.map((language) => ({ path: `/how/${shop}`, language })),
  ),
  { path: '/sign-in' },
  { path: '/nowhere' },
  ...ofMembers.map((page) => ({ path: `/s/wrenfield/${page}`, member: true })),
]
