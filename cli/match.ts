import { group } from 'd3-array'
import { readFileSync } from 'node:fs'
import { z } from 'zod'
import { decodeFile } from '../core/formats/decodeFile'
import { readOrderFile } from '../core/proof/orderFile'
import { emailKeyOf } from '../core/proof/emailKey'
import { matchOrder, type OrderLine } from '../core/proof/matchOrder'
import { orderNumberKey } from '../core/proof/orderNumber'
import { translateCode } from '../core/messages/code'
import { say } from '../core/messages/say/everything'
import { readJsonLines } from './jsonLines'

const text = z
  .union([z.string(), z.number()])
  .nullish()
  .transform((value) => String(value ?? ''))

/** The parts of a review that verification reads, under the public field names. */
const claimSchema = z.object({
  id: z.union([z.string(), z.number()]),
  author_name: text,
  author_email: text,
  order_number: text,
  product: text,
  written_at: text,
})

interface Matched {
  id: string | number
  verified: boolean
  by?: 'mailbox' | 'orderNumber'
  order?: string
  why: string
}

/** Finds the order of each review in a file. Its email address counts as confirmed. */
export function matchFiles(
  ordersFile: string,
  reviewsFile: string,
  timeZone: string,
  now: string,
): Matched[] {
  const { rows, problems } = readOrderFile(decodeFile(readFileSync(ordersFile)))
  for (const { row, field, reason } of problems)
    console.error(`${ordersFile}, row ${row}, ${field}: ${translateCode(say, reason)} The row is skipped.`)
  const find = finder(
    rows.map((row) => ({
      ...row,
      id: row.row,
      orderNumber: row.number,
      placedAt: row.placedAt ?? '',
    })),
  )
  return readJsonLines(reviewsFile, claimSchema).map((review) => {
    const claim = {
      authorName: review.author_name,
      provenEmail: review.author_email,
      orderNumber: review.order_number,
      product: review.product,
      writtenAt: readable(review.written_at) ?? now,
    }
    const match = matchOrder(claim, find(claim), timeZone)
    if ('failure' in match) {
      const why = say(`match.${match.failure}`, { number: review.order_number, product: review.product })
      return { id: review.id, verified: false, why }
    }
    const { line, by } = match
    const what = { number: line.orderNumber, title: line.productTitle || line.productSku }
    const why = say(`match.${by}`, { ...what, when: line.deliveredAt!.slice(0, 10) })
    return { id: review.id, verified: true, by, order: line.orderNumber, why }
  })
}

const readable = (moment: string): string | null =>
  moment && !Number.isNaN(Date.parse(moment)) ? moment : null

/** The order lines with the email address or number of a claim, so that each claim needn't search all lines. */
function finder(lines: OrderLine[]): (claim: { provenEmail: string; orderNumber: string }) => OrderLine[] {
  const byEmail = group(lines, ({ email }) => emailKeyOf(email))
  const byNumber = group(lines, ({ orderNumber }) => orderNumberKey(orderNumber))
  return ({ provenEmail, orderNumber }) => [
    ...new Set([
      ...(byEmail.get(emailKeyOf(provenEmail)) ?? []),
      ...(byNumber.get(orderNumberKey(orderNumber)) ?? []),
    ]),
  ]
}
