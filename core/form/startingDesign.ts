import { BODY_LIMIT, TITLE_LIMIT } from '../intake/limits'
import { MOST_PHOTOS } from '../intake/photos'
import type { FormDesign } from './design'

/** Everything on, in the words of the catalogue; what `designSchema` fills in. */
export const startingDesign: FormDesign = {
  schema: 1,
  heading: '',
  intro: '',
  colour: '',
  rating: { label: '' },
  product: { shown: true, required: false, label: '' },
  orderNumber: { shown: true, label: '' },
  title: { shown: true, label: '', most: TITLE_LIMIT },
  body: { required: false, label: '', least: 0, most: BODY_LIMIT },
  photos: { most: MOST_PHOTOS },
  name: { label: '' },
  email: { label: '' },
  questions: [],
  button: '',
  thanks: { heading: '', text: '', link: { words: '', url: '' } },
  closed: '',
}
