import { sampleQuotations } from '../../core/messages/display/sampleQuotations'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { tallyOf } from '../../core/curation/ratingTally'
import { displayModel } from '../../core/display/displayModel'
import type { DisplayShop } from '../../core/display/showableReview'
import { renderDisplay } from '../../onsite/render'
import type { Services } from '../services'

/** Replaced by the style of the shop where the samples are shown. */
const plainStyle = { background: '#ffffff', textColour: '#1b1a17', brand: '#0e4654', corners: 8 }

/** The HTML of a first display with samples, for a shop that isn't saved yet. */
export function samplePreview(
  { now }: Services,
  shop: Pick<DisplayShop, 'name' | 'shortName' | 'locale' | 'timeZone'>,
): string {
  const model = displayModel({
    configuration: startingConfiguration,
    shop: {
      ...shop,
      products: {},
      listings: {},
      forms: {},
      questions: {},
      looks: {},
      logo: null,
      site: plainStyle,
    },
    picked: [],
    totals: {
      tally: tallyOf([]),
      compared: tallyOf([]),
      publishableCount: 0,
      elsewhereCount: 0,
      byListing: {},
    },
    links: { write: null, all: '', how: '' },
    mediaUrl: '',
    fontsUrl: '',
    now: now().toISOString(),
    samples: sampleQuotations(),
  })
  return renderDisplay(model).html
}
