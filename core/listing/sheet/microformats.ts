import { MAX_BODY } from '../limits'
import { walkWhole } from './walkWhole'
import type { Node } from './schemaNodes'

const blocks = new Set(['p', 'div', 'br', 'li', 'blockquote'])

/** What each class means, in the older and the newer writing. */
const meanings: Record<string, string> = {
  'p-name': 'name',
  summary: 'name',
  'p-summary': 'description',
  'e-content': 'reviewBody',
  description: 'reviewBody',
  'p-author': 'author',
  reviewer: 'author',
  'p-rating': 'ratingValue',
  rating: 'ratingValue',
  'p-best': 'bestRating',
  best: 'bestRating',
  'dt-published': 'datePublished',
  dtreviewed: 'datePublished',
  'p-item': '',
  item: '',
}

/** The reviews that a page marks up with classes (`h-review` and `hreview`), as nodes of schema.org. */
export function microformats(html: string): Node[] {
  const reviews: Node[] = []
  /** What each open element is: a review, the outermost property of one, or neither. */
  const open: ('review' | 'property' | null)[] = []
  let review: Node | null = null
  let property: { name: string; text: string; value: string | undefined } | null = null
  walkWhole(html, {
    open: (name, attributes) => {
      const classes = (attributes.class ?? '').split(/\s+/)
      if (!review && (classes.includes('h-review') || classes.includes('hreview'))) {
        review = Object.assign(Object.create(null) as Node, { '@type': 'Review', reviewRating: {} })
        reviews.push(review)
        open.push('review')
        return
      }
      const meaning = review && !property && classes.find((one) => Object.hasOwn(meanings, one))
      if (meaning) property = { name: meanings[meaning]!, text: '', value: valueOf(name, attributes) }
      else if (property && blocks.has(name)) property.text += '\n'
      open.push(meaning ? 'property' : null)
    },
    text: (text) => {
      if (property && property.text.length < MAX_BODY) property.text += text
    },
    close: () => {
      const ended = open.pop()
      if (ended === 'review') review = null
      if (ended !== 'property' || !property || !review) return
      put(review, property.name, property.value ?? property.text.replace(/\s*\n\s*/g, '\n').trim())
      property = null
    },
  })
  return reviews
}

const valueOf = (name: string, { value, title, datetime }: Record<string, string>) =>
  name === 'data' ? value : name === 'abbr' ? title : name === 'time' ? datetime : undefined

function put(review: Node, name: string, value: string): void {
  const place = name === 'ratingValue' || name === 'bestRating' ? (review.reviewRating as Node) : review
  if (name !== '' && !(name in place)) place[name] = value
}
