import { dayIn } from '../formats/dates'
import { emailKeyOf } from './emailKey'
import { digitsAlone, orderNumberKey } from './orderNumber'
import { namesAgree } from './personName'

const lineStatuses = ['delivered', 'refunded', 'returned', 'shipped', 'placed', 'cancelled'] as const
type LineStatus = (typeof lineStatuses)[number]

/** Moments are UTC as ISO 8601, or a calendar day. */
export interface OrderLine {
  id: number
  orderNumber: string
  email: string
  name: string
  productSku: string
  productTitle: string
  placedAt: string
  deliveredAt: string | null
  status: string
}

interface Claim {
  authorName: string
  /** A confirmed email address; otherwise empty. */
  provenEmail: string
  orderNumber: string
  /** SKU or title; empty for the shop in general. */
  product: string
  writtenAt: string
}

export type ProofMethod = 'mailbox' | 'orderNumber'

const matchFailures = [
  'noNumber',
  'unknownNumber',
  'otherName',
  'otherProduct',
  'cancelled',
  'notDelivered',
] as const
type MatchFailure = (typeof matchFailures)[number]
/** Why no purchase is proven. Without an email address none is looked for. */
export type ProofFailure = MatchFailure | 'noEmail'
type OrderMatch = { line: OrderLine; by: ProofMethod } | { failure: MatchFailure }

const bought = new Set<string>(['delivered', 'refunded', 'returned'] satisfies LineStatus[])

// Some letters have two lower-case forms, so upper case comes first.
const productKey = (text: string) => text.normalize('NFKC').replace(/\s+/gu, '').toUpperCase().toLowerCase()
const statusOf = ({ status }: OrderLine) => status.trim().toLowerCase()

/** A calendar day is the same in every time zone. */
const dayOf = (timeZone: string, moment: string) =>
  /^\d{4}-\d{2}-\d{2}$/.test(moment) ? moment : dayIn(timeZone, moment)

/**
 * Finds the order line that proves a purchase, by confirmed email address, or by order number and name together. Of several
 * matches it returns the latest delivered. A failure names the first condition that no line meets.
 */
export function matchOrder(claim: Claim, lines: OrderLine[], timeZone: string): OrderMatch {
  const number = numberAmong(lines, orderNumberKey(claim.orderNumber))
  const emailKey = emailKeyOf(claim.provenEmail)
  const own = lines.flatMap((line): { line: OrderLine; by: ProofMethod }[] => {
    if (emailKey && emailKeyOf(line.email) === emailKey) return [{ line, by: 'mailbox' }]
    const numbered = number !== '' && orderNumberKey(line.orderNumber) === number
    return numbered && namesAgree(claim.authorName, line.name) ? [{ line, by: 'orderNumber' }] : []
  })
  if (own.length === 0) return { failure: whyNobody(number, lines) }

  const product = productKey(claim.product)
  const writtenDay = dayOf(timeZone, claim.writtenAt)
  const steps: [MatchFailure, (line: OrderLine) => boolean][] = [
    [
      'otherProduct',
      (line) => !product || [line.productSku, line.productTitle].some((p) => productKey(p) === product),
    ],
    ['cancelled', (line) => statusOf(line) !== 'cancelled'],
    [
      'notDelivered',
      (line) =>
        bought.has(statusOf(line)) &&
        line.deliveredAt !== null &&
        dayOf(timeZone, line.deliveredAt) <= writtenDay,
    ],
  ]
  let fitting = own
  for (const [failure, meets] of steps) {
    fitting = fitting.filter(({ line }) => meets(line))
    if (fitting.length === 0) return { failure }
  }
  const delivered = ({ line }: { line: OrderLine }) => Date.parse(line.deliveredAt!)
  return fitting.reduce((best, one) => (delivered(one) > delivered(best) ? one : best))
}

/** The key of the order that a number means: the same one, or the only one with these digits. */
function numberAmong(lines: OrderLine[], typed: string): string {
  const keys = new Set(lines.map((line) => orderNumberKey(line.orderNumber)))
  if (typed === '' || keys.has(typed)) return typed
  const [only, ...others] = [...keys].filter((key) => digitsAlone(key) === typed)
  return only !== undefined && others.length === 0 ? only : typed
}

function whyNobody(number: string, lines: OrderLine[]): MatchFailure {
  if (!number) return 'noNumber'
  return lines.some((line) => orderNumberKey(line.orderNumber) === number) ? 'otherName' : 'unknownNumber'
}
