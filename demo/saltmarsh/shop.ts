import type { ShopStory } from '../story'

export const saltmarsh: ShopStory = {
  shop: {
    slug: 'saltmarsh',
    name: 'Saltmarsh Lane Letterpress',
    shortName: 'Saltmarsh Lane',
    ownDomains: ['saltmarshlane.example'],
    brand: '#7c4a5e',
    logo: null,
    locale: 'en-GB',
    timeZone: 'Europe/London',
  },
  form: { slug: 'how-was-it', heading: 'How was it?', intro: 'We read every word, then set it in type.' },
  products: { 'VC-100': 'Visiting cards, 100', 'WD-S': 'Wedding suite', 'PD-1': 'A day at the press' },
  orders: [
    { number: 'SL-301', name: 'Ottilie Frame', placed: 80, arrivedAfter: 14, status: 'delivered', skus: ['VC-100'] },
    { number: 'SL-318', name: 'Callum Reddy', placed: 52, arrivedAfter: 20, status: 'delivered', skus: ['WD-S'] },
    { number: 'SL-322', name: 'Inga Solheim', placed: 30, arrivedAfter: 9, status: 'delivered', skus: ['PD-1'] },
  ],
  reviews: [
    {
      came: 61, rating: 5, name: 'Ottilie Frame', product: 'VC-100', order: 'SL-301', took: 88,
      body: 'You can feel every letter with your thumb. People keep the card just to stroke it.', then: 'approve',
    },
    {
      came: 29, rating: 4, name: 'Callum Reddy', product: 'WD-S', order: 'SL-318', took: 150,
      body: 'Beautiful paper and patient answers to eleven rounds of nerves. One envelope short.', then: 'approve',
    },
    {
      came: 12, rating: 5, name: 'Inga Solheim', product: 'PD-1', order: 'SL-322', took: 99,
      body: 'Came home with ink to the elbows and a poster I would have paid for.',
    },
    {
      came: 4, rating: 3, name: 'Barnaby Quill', product: 'VC-100', took: 47,
      body: 'Fine cards, but the green was greyer than the sample.',
    },
    {
      came: 0.3, rating: 5, name: 'Print4Less', email: 'sales@printless.example', took: 3,
      body: 'good work but why pay this much, see printless.example',
    },
  ],
  display: {
    key: 'workshop-wall',
    name: 'Workshop wall',
    configuration: {
      schema: 1,
      title: '',
      selection: { limit: 3, lowestRating: 1, order: 'newest' },
      layout: 'list',
    },
    live: false,
  },
}
