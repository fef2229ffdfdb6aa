import { dayIn } from '../formats/dates'
import { fold } from '../formats/fold'
import { orderNumberKey } from './orderNumber'
import { namesAgree } from './personName'

export const lineStatuses = ['delivered', 'refunded', 'returned', 'shipped', 'placed', 'cancelled'] as const
export type LineStatus = (typeof lineStatuses)[number]

/** One line of an order, as far as proof needs it. Moments are UTC ISO-8601 text. */
export interface OrderLine {
  id: number
  orderNumber: string
  name: string
  productSku: string
  productTitle: string
  placedAt: string
  deliveredAt: string | null
  status: string
}

export interface Claim {
  authorName: string
  orderNumber: string
  /** SKU or title; empty for a review of the shop. */
  product: string
  writtenAt: string
}

export type ProofFailure =
  'noNumber' | 'unknownNumber' | 'otherName' | 'otherProduct' | 'cancelled' | 'notDelivered'
export type OrderMatch = { line: OrderLine } | { failure: ProofFailure }

const bought = new Set<string>(['delivered', 'refunded', 'returned'] satisfies LineStatus[])
const squeezed = (text: string) => fold(text).replace(/\s+/gu, ' ').trim()

/**
 * The order line that proves a purchase by order number and name together; a number alone, or a name alone, proves
 * nothing. Of several that fit, the latest delivered. A failure names the first condition that no line meets.
 */
export function matchByOrderNumber(claim: Claim, lines: OrderLine[], timeZone: string): OrderMatch {
  const key = orderNumberKey(claim.orderNumber)
  if (!key) return { failure: 'noNumber' }
  const writtenDay = dayIn(timeZone, claim.writtenAt)
  const product = squeezed(claim.product)
  const steps: [ProofFailure, (line: OrderLine) => boolean][] = [
    ['unknownNumber', (line) => orderNumberKey(line.orderNumber) === key],
    ['otherName', (line) => namesAgree(claim.authorName, line.name)],
    [
      'otherProduct',
      (line) => !product || [line.productSku, line.productTitle].some((p) => squeezed(p) === product),
    ],
    ['cancelled', (line) => line.status !== 'cancelled'],
    [
      'notDelivered',
      (line) =>
        bought.has(line.status) &&
        line.deliveredAt !== null &&
        dayIn(timeZone, line.deliveredAt) <= writtenDay,
    ],
  ]
  let fitting = lines
  for (const [failure, meets] of steps) {
    fitting = fitting.filter(meets)
    if (fitting.length === 0) return { failure }
  }
  const latest = fitting.reduce((best, line) => (line.deliveredAt! > best.deliveredAt! ? line : best))
  return { line: latest }
}
