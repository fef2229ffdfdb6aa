import { recordOf } from '../../core/formats/keysOf'
import type { Asked } from '../../core/display/displayModel'
import { layouts } from '../../core/display/choices'
import type { Configuration } from '../../core/display/configuration'
import { renderDisplay } from '../../onsite/render'
import { findDisplay } from '../data/displays'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { composer } from './compose'
import type { Miniatures } from './showViews'

const IN_A_MINIATURE = 6
/** Miniatures use several columns at smaller widths, so that their text stays readable. */
const MINIATURE_MARKS = [200, 320, 4000]

/** The selected reviews of a draft in each layout, as small previews. Null if there is no such display. */
export async function miniatures(
  services: Services,
  shop: Shop,
  key: string,
  asked: Pick<Asked, 'product'>,
): Promise<Miniatures | null> {
  const display = await findDisplay(services.db, shop.id, { key })
  if (!display) return null
  const { compose, present } = await composer(services, shop)
  const configuration = await present(display.draft.configuration)
  const plain: Configuration = {
    ...configuration,
    title: '',
    heading: {
      ...configuration.heading,
      line: '',
      average: false,
      count: false,
      write: false,
      all: false,
      siteNumbers: false,
      allThere: false,
      writeThere: false,
      byOrigin: false,
      business: 'none',
      button: { words: '', url: '' },
    },
  }
  const { model } = await compose(plain, { key, asked, samples: true })
  const few = { ...model, quotations: model.quotations.slice(0, IN_A_MINIATURE) }
  return recordOf(layouts, (kind) =>
    renderDisplay({ ...few, layout: { ...model.layout, kind, marks: MINIATURE_MARKS } }),
  )
}
