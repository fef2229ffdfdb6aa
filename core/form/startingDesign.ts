import { BODY_LIMIT, TITLE_LIMIT } from '../intake/limits'
import { recordOf } from '../formats/keysOf'
import { askedTexts } from '../intake/writerTexts'
import { MOST_PHOTOS } from '../intake/photos'
import { USUAL_CORNERS } from './choices'
import type { FormDesign } from './design'

/** Everything on, in the words of the catalogue; what `designSchema` fills in. */
export const startingDesign: FormDesign = {
  schema: 1,
  logo: true,
  picture: { name: '', alt: '' },
  heading: '',
  intro: [],
  colour: '',
  background: '',
  corners: USUAL_CORNERS,
  rating: { shown: true, required: true, label: '' },
  product: { shown: true, required: false, label: '', fixed: '' },
  orderNumber: { shown: true, required: false, label: '' },
  title: { shown: true, label: '', most: TITLE_LIMIT },
  body: { required: false, label: '', least: 0, most: BODY_LIMIT },
  photos: { most: MOST_PHOTOS },
  video: { shown: false },
  name: { shown: true, required: true, label: '' },
  ...recordOf(askedTexts, () => ({ shown: false, required: false, label: '' })),
  email: { shown: true, required: true, label: '' },
  questions: [],
  consent: { label: '' },
  button: '',
  coupon: { text: '', announced: true },
  thanks: { heading: '', text: '', link: { words: '', url: '', after: 0 }, passOn: false, passOnUrl: '' },
  closed: '',
  translations: {},
}
