import { nothingAbout } from '../../core/intake/candidate'
import type { Configuration } from '../../core/display/configuration'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { scopeTotals } from '../../core/curation/scopeTotals'
import { inScope, pick, scopeOf } from '../../core/curation/selection'
import { sentLimit } from '../../core/display/bands'
import { displayModel, type Asked } from '../../core/display/displayModel'
import type { DisplayShop, ShowableReview } from '../../core/display/showableReview'

/** A review that may be shown, written on the day of its id in June 2026. */
export function showable(
  id: number,
  rating: number | null,
  more: Partial<ShowableReview> = {},
): ShowableReview {
  return {
    id,
    publicId: `r${id}`,
    rating,
    writtenAt: `2026-06-${String(id).padStart(2, '0')}T10:00:00Z`,
    writtenPrecision: 'day',
    source: 'form',
    title: '',
    body: 'Words',
    authorName: 'Piotr Lis',
    answers: [],
    language: null,
    productSku: null,
    productTitle: null,
    tags: [],
    listing: null,
    posted: null,
    verified: false,
    hasText: true,
    hasPhoto: false,
    form: null,
    boughtAt: null,
    boughtBy: more.boughtAt ? 'orderNumber' : null,
    ...nothingAbout,
    reply: null,
    photos: [],
    ...more,
  }
}

export const beeShop: DisplayShop = {
  name: 'Wrenfield Bee Supply',
  shortName: 'Wrenfield',
  locale: 'en-GB',
  timeZone: 'Europe/London',
  listings: {},
  forms: {},
  questions: {},
  looks: {},
  logo: null,
  products: { 'HK-2': 'Hive kit', 'SM-L': 'Smoker' },
  site: { background: '#fcf7eb', textColour: '#2a241a', brand: '#e9b949', corners: 6 },
}

type Groups = 'selection' | 'layout' | 'parts' | 'heading' | 'theme' | 'placement'

/** The starting configuration with parts of its groups changed. */
export function configured(
  changed: Partial<Omit<Configuration, Groups>> & {
    [G in Groups]?: Partial<Configuration[G]>
  } = {},
): Configuration {
  const start = startingConfiguration
  return {
    ...start,
    ...changed,
    selection: { ...start.selection, ...changed.selection },
    layout: { ...start.layout, ...changed.layout },
    parts: { ...start.parts, ...changed.parts },
    heading: { ...start.heading, ...changed.heading },
    theme: { ...start.theme, ...changed.theme },
    placement: { ...start.placement, ...changed.placement },
  }
}

/** What a display of the bee shop shows of some reviews. */
export function shownOf(
  reviews: ShowableReview[],
  configuration = configured(),
  asked: Asked = {},
  site = beeShop.site,
) {
  const { selection } = configuration
  return displayModel({
    configuration,
    shop: { ...beeShop, site },
    picked: pick(reviews, selection, { limit: sentLimit(configuration), ...asked }),
    totals: scopeTotals(
      reviews
        .filter((review) => inScope(review, scopeOf(selection, asked)))
        .map((review) => ({ ...review, count: 1 })),
      selection,
    ),
    links: {
      write: 'https://reviews.example/f/tell-us',
      all: 'https://reviews.example/d/front/all',
      how: 'https://reviews.example/how/wrenfield',
    },
    mediaUrl: 'https://reviews.example/media/',
    fontsUrl: 'https://reviews.example/fonts/',
    now: '2026-11-25T00:00:00Z',
    asked,
  })
}
