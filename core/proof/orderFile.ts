import { parse } from 'csv-parse/sync'
import { dayFirstDate } from '../formats/dayFirstDate'
import { normalizeText } from '../formats/normalizeText'
import { messageCode } from '../messages/code'
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
  problems: OrderProblem[]
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

/** A file that is no table of orders; the message says why, in plain words. */
export class UnreadableFile extends Error {
  override readonly name = 'UnreadableFile'
}

/** What is wrong with a row, by its field. */
export interface OrderProblem {
  row: number
  field: string
  reason: string
}

/** A heading as it was understood: where each column stands, and how many there are. */
export interface OrderTable {
  at: Partial<Record<Column, number>>
  width: number
}

/** How the CSV reader takes a file of orders apart. @param start the file's text, or its beginning with the heading */
export const orderCsvOptions = (start: string) => ({
  bom: true,
  delimiter: delimiterOf(start.replace(/^\uFEFF/u, '')),
  relax_column_count: true,
  relax_quotes: true,
  skip_empty_lines: true,
  trim: true,
  // A quotation mark that is never closed would take the rest of the file as one cell.
  max_record_size: 1_000_000,
})

/** @throws Error in plain words when there is no column of order numbers */
export function readOrderHeading(heading: string[] | undefined): OrderTable {
  if (!heading) throw new UnreadableFile(messageCode('orders.file.empty'))
  const at = placesOf(heading)
  if (at.number === undefined)
    throw new UnreadableFile(
      messageCode('orders.file.noColumn', { column: 'number', heading: heading.join(', ') }),
    )
  return { at, width: heading.length }
}

/**
 * A line of an order, or what is wrong with it; null for a row with nothing in it.
 * @param row its place below the heading, counted from 1
 */
export function readOrderRow(
  { at, width }: OrderTable,
  record: string[],
  row: number,
): { order: OrderRow } | { problems: OrderProblem[] } | null {
  if (record.every((value) => value.trim() === '')) return null
  const problems: OrderProblem[] = []
  const cell = (column: Column) => undefused((record[at[column] ?? -1] ?? '').trim())
  const problem = (field: Column, reason: string) => problems.push({ row, field, reason })
  const date = (column: 'placed_at' | 'delivered_at') => {
    const typed = cell(column)
    const read = typed === '' ? null : dayFirstDate(typed)
    if (typed !== '' && read === null) problem(column, messageCode('orders.file.noDate', { typed }))
    return read
  }
  if (record.length > width)
    problem('number', messageCode('orders.file.cells', { cells: record.length, columns: width }))
  if (orderNumberKey(cell('number')) === '') problem('number', messageCode('orders.file.noNumber'))
  const [placedAt, deliveredAt] = [date('placed_at'), date('delivered_at')]
  if (problems.length > 0) return { problems }
  const order = {
    row,
    number: cell('number'),
    email: cell('email'),
    name: cell('name'),
    productSku: cell('product_sku'),
    productTitle: cell('product_title'),
    placedAt,
    deliveredAt,
    status: cell('status').toLowerCase(),
  }
  return { order }
}

/**
 * The lines of orders in a CSV, with what is wrong in it by row and field. A row with a problem is left out, the
 * others are kept.
 * @throws Error in plain words when it is no table at all or has no column of order numbers
 */
export function readOrderFile(text: string): OrderFile {
  const [heading, ...records] = tableOf(text)
  const table = readOrderHeading(heading)
  const file: OrderFile = { rows: [], problems: [] }
  records.forEach((record, i) => {
    const read = readOrderRow(table, record, i + 1)
    if (read && 'order' in read) file.rows.push(read.order)
    else if (read) file.problems.push(...read.problems)
  })
  return file
}

function tableOf(text: string): string[][] {
  try {
    return parse(text, orderCsvOptions(text))
  } catch (error) {
    throw noTable(error)
  }
}

/** Why a file is no table, in plain words. */
export const noTable = (error: unknown): Error =>
  new UnreadableFile(
    messageCode('orders.file.noTable', { reason: error instanceof Error ? error.message : '' }),
    {
      cause: error,
    },
  )

function delimiterOf(text: string): string {
  const first = text.slice(0, text.search(/\r|\n|$/u))
  const count = (sign: string) => first.split(sign).length
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best))
}

function placesOf(heading: string[]): Partial<Record<Column, number>> {
  const names = heading.map((name) => normalizeText(name).replace(/[^\p{L}\p{N}]/gu, ''))
  return Object.fromEntries(
    Object.entries(columns).flatMap(([column, known]) => {
      const place = known.map((name) => names.indexOf(name)).find((found) => found >= 0)
      return place === undefined ? [] : [[column, place]]
    }),
  )
}
