import { parse } from 'csv-parse/sync'
import { dayFirstDate } from '../formats/dayFirstDate'
import { fold } from '../formats/fold'
import { say } from '../words/say'
import { orderNumberKey } from './orderNumber'

/** One row of a file of orders: a line of an order. Moments are ISO-8601, a day alone where no time was given. */
export interface OrderRow {
  /** Counts records from 1; the heading is not one. */
  row: number
  number: string
  email: string
  name: string
  productSku: string
  productTitle: string
  placedAt: string | null
  deliveredAt: string | null
  status: string
}

export interface OrderFile {
  rows: OrderRow[]
  /** Rows left out, each with its field and reason. */
  problems: { row: number; field: string; reason: string }[]
}

const columns = {
  number: ['number', 'order', 'ordernumber', 'orderno', 'orderid', 'bestellnummer', 'bestellung'],
  email: ['email', 'mail', 'emailaddress', 'customeremail', 'mailbox'],
  name: ['name', 'customer', 'customername', 'buyer', 'kunde'],
  product_sku: ['productsku', 'sku', 'article', 'articlenumber', 'artikelnummer'],
  product_title: ['producttitle', 'product', 'productname', 'title', 'item', 'artikel'],
  placed_at: ['placedat', 'placed', 'date', 'orderdate', 'orderedat', 'createdat', 'datum'],
  delivered_at: ['deliveredat', 'delivered', 'deliverydate', 'geliefert'],
  status: ['status', 'state'],
} as const
type Column = keyof typeof columns

/** Spreadsheets are kept from running a cell by an apostrophe before it. */
const undefused = (cell: string) => cell.replace(/^'(?=[=+\-@])/u, '')

/**
 * The lines of orders in a CSV, with what is wrong in it by row and field. A row with a problem is left out, the
 * others are kept.
 * @throws Error in plain words when it is no table at all or has no column of order numbers
 */
export function readOrderFile(text: string): OrderFile {
  const [heading, ...records] = tableOf(text)
  if (!heading) throw new Error(say('orders.file.empty'))
  const at = placesOf(heading)
  if (at.number === undefined)
    throw new Error(say('orders.file.noColumn', { column: 'number', heading: heading.join(', ') }))

  const file: OrderFile = { rows: [], problems: [] }
  records.forEach((record, i) => {
    const cell = (column: Column) => undefused((record[at[column] ?? -1] ?? '').trim())
    const problem = (field: Column, reason: string) => file.problems.push({ row: i + 1, field, reason })
    const date = (column: 'placed_at' | 'delivered_at') => {
      const typed = cell(column)
      const read = typed === '' ? null : dayFirstDate(typed)
      if (typed !== '' && read === null) problem(column, say('orders.file.noDate', { typed }))
      return read
    }
    const before = file.problems.length
    if (record.every((value) => value.trim() === '')) return
    if (record.length > heading.length)
      problem('number', say('orders.file.cells', { cells: record.length, columns: heading.length }))
    if (orderNumberKey(cell('number')) === '') problem('number', say('orders.file.noNumber'))
    const [placedAt, deliveredAt] = [date('placed_at'), date('delivered_at')]
    if (file.problems.length > before) return
    file.rows.push({
      row: i + 1,
      number: cell('number'),
      email: cell('email'),
      name: cell('name'),
      productSku: cell('product_sku'),
      productTitle: cell('product_title'),
      placedAt,
      deliveredAt,
      status: cell('status').toLowerCase(),
    })
  })
  return file
}

function tableOf(text: string): string[][] {
  try {
    return parse(text, {
      bom: true,
      delimiter: delimiterOf(text),
      relax_column_count: true,
      relax_quotes: true,
      skip_empty_lines: true,
      trim: true,
    })
  } catch (error) {
    throw new Error(say('orders.file.noTable', { reason: error instanceof Error ? error.message : '' }), {
      cause: error,
    })
  }
}

function delimiterOf(text: string): string {
  const first = text.slice(0, text.search(/\r|\n|$/u))
  const count = (sign: string) => first.split(sign).length
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best))
}

function placesOf(heading: string[]): Partial<Record<Column, number>> {
  const names = heading.map((name) => fold(name).replace(/[^\p{L}\p{N}]/gu, ''))
  return Object.fromEntries(
    Object.entries(columns).flatMap(([column, known]) => {
      const place = known.map((name) => names.indexOf(name)).find((found) => found >= 0)
      return place === undefined ? [] : [[column, place]]
    }),
  )
}
