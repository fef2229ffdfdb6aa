import { startingConfiguration } from '../../core/display/configuration'
import { displayModel, type DisplayShop } from '../../core/display/displayModel'
import { renderDisplay, type RenderedDisplay } from '../../onsite/render'
import type { Services } from '../services'

/** A first display with nothing but samples, for somebody whose shop is not kept yet. */
export function samplePreview({ now }: Services, shop: DisplayShop): RenderedDisplay {
  const { model } = displayModel({
    configuration: startingConfiguration,
    shop,
    reviews: [],
    writeUrl: null,
    mediaUrl: '',
    now: now().toISOString(),
    samples: true,
  })
  return renderDisplay(model)
}
