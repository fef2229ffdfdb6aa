import type { OriginReview } from '../originAdapter'
import { MAX_ROWS } from '../limits'
import { OriginRefusal } from '../originRefusal'
import { readAverage, readCount, readLine, readText } from '../readAnswer'
import { readDateCell } from './cells'
import { microformats } from './microformats'
import { oldestFirst, rowKeys } from './rowKeys'
import { isNode, isOfType, microdata, nodesIn, type Node } from './schemaNodes'

export interface StructuredReviews {
  /** Newest first. */
  reviews: OriginReview[]
  /** What the page states, on a scale of five. */
  average: number | null
  count: number | null
}

type Resolved = (value: unknown) => unknown

/**
 * The reviews that a page marks up, as JSON-LD, else as microdata, else with classes: pages that have several of
 * these say the same twice. Ratings keep the scale that they name.
 * @throws OriginRefusal if the page is too large
 */
export function structuredReviews(address: string, data: unknown[], html: string): StructuredReviews {
  const { nodes: given, resolved } = nodesIn(data)
  const nodes = [given, microdata(html), microformats(html)].find((some) => some.some(isReview)) ?? given
  const marked = nodes.filter(isReview)
  if (marked.length > MAX_ROWS) throw new OriginRefusal('tooLarge')
  const found = marked.map((node) => reviewOf(address, node, resolved))
  const filled = found.filter(({ body, title, rating }) => body !== '' || title !== '' || rating !== null)
  const keys = rowKeys(
    address,
    filled.map(({ authorName, writtenAt, title, body, rating }) => ({
      name: authorName,
      writtenAt,
      says: JSON.stringify([title, body, rating]),
    })),
  )
  const total = nodes.find((node) => isOfType(node, 'AggregateRating'))
  return {
    reviews: oldestFirst(filled)
      .toReversed()
      .map((i) => ({ ...filled[i]!, key: keys[i]! })),
    average: total ? averageOf(total) : null,
    count: total ? readCount(textOf(total.reviewCount ?? total.ratingCount)) : null,
  }
}

const isReview = (node: Node) => isOfType(node, 'Review')

function reviewOf(address: string, node: Node, resolved: Resolved): Omit<OriginReview, 'key'> {
  const rating = resolved(first(node.reviewRating))
  const scale = isNode(rating) ? scaleOf(rating) : USUAL_SCALE
  const author = resolved(first(node.author))
  return {
    url: address,
    authorName: readLine(textOf(isNode(author) ? author.name : author)),
    portrait: null,
    rating: isNode(rating) ? readAverage(textOf(rating.ratingValue), scale) : null,
    ratingScale: scale,
    title: readLine(textOf(node.name ?? node.headline)),
    body: readText(textOf(node.reviewBody) || textOf(node.description)),
    writtenAt: readDateCell(textOf(node.datePublished), { isDayFirst: true, timeZone: 'UTC' }),
    likes: null,
    claimsVerified: false,
    answers: [],
  }
}

const USUAL_SCALE = 5
const MAX_SCALE = 100

/** Of a rating: what it names, if anybody could rate on that. */
function scaleOf({ bestRating }: Node): number {
  const named = Number(textOf(bestRating))
  return Number.isInteger(named) && named >= 2 && named <= MAX_SCALE ? named : USUAL_SCALE
}

function averageOf(total: Node): number | null {
  const scale = scaleOf(total)
  const average = readAverage(textOf(total.ratingValue), scale)
  return average === null ? null : (average / scale) * 5
}

const first = (value: unknown): unknown => (Array.isArray(value) ? (value as unknown[])[0] : value)

function textOf(value: unknown): string {
  const one = first(value)
  return typeof one === 'string' ? one : typeof one === 'number' ? String(one) : ''
}
