import { PRODUCT_TITLE_LIMIT } from '../intake/productFields'
import { unguardFormulas } from '../formats/spreadsheetFile'
import { parse } from 'csv-parse/sync'
import { dayFirstDate } from '../formats/dayFirstDate'
import { normalizeText } from '../formats/normalizeText'
import { messageCode } from '../messages/code'
import { orderNumberKey } from './orderNumber'

/** A row of an order file: one order line. Times are ISO 8601, or a day if no time is given. */
export interface OrderRow {
  /** Counted from 1 below the heading. */
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

interface OrderFile {
  rows: OrderRow[]
  /** Skipped rows, each with field and reason. */
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

/** The file is no table of orders; the message is a message code. */
export class UnreadableFile extends Error {
  override readonly name = 'UnreadableFile'
}

/** The problem of a row, by field. */
export interface OrderProblem {
  row: number
  field: string
  reason: string
}

/** A parsed heading: the position of each column, and their number. */
interface OrderTable {
  at: Partial<Record<Column, number>>
  width: number
}

/**
 * The options for parsing a file of orders.
 * @param start the file's text, or its beginning with the heading
 */
export const orderCsvOptions = (start: string) => ({
  bom: true,
  delimiter: delimiterOf(start.replace(/^\uFEFF/u, '')),
  relax_column_count: true,
  relax_quotes: true,
  skip_empty_lines: true,
  trim: true,
  // An unclosed quotation mark would turn the rest of the file into one cell.
  max_record_size: MAX_RECORD_LENGTH,
})

const MAX_RECORD_LENGTH = 1_000_000
const MAX_COLUMNS = 200
/** Separators in a line, whether within quotation marks or not. */
const MAX_SEPARATORS = 2000
const MAX_CELL_LENGTH = 300
const HEADING_SHOWN = 300

/**
 * Watches the parts of a file for lines of very many cells, which take a parser long.
 * @throws UnreadableFile at such a line
 */
export function separatorWatch(): (part: string) => void {
  let inLine = 0
  return (part) => {
    for (let at = 0; at < part.length; at++) {
      const code = part.charCodeAt(at)
      if (code === LINE_FEED || code === CARRIAGE_RETURN) inLine = 0
      else if ((code === COMMA || code === SEMICOLON || code === TAB) && ++inLine > MAX_SEPARATORS)
        throw new UnreadableFile(messageCode('orders.file.columns', { most: MAX_COLUMNS }))
    }
  }
}
const [TAB, LINE_FEED, CARRIAGE_RETURN, COMMA, SEMICOLON] = [9, 10, 13, 44, 59]

/** @throws Error with a message code if there is no column of order numbers */
export function readOrderHeading(heading: string[] | undefined): OrderTable {
  if (!heading) throw new UnreadableFile(messageCode('orders.file.empty'))
  if (heading.length > MAX_COLUMNS)
    throw new UnreadableFile(messageCode('orders.file.columns', { most: MAX_COLUMNS }))
  const at = placesOf(heading)
  if (at.number === undefined)
    throw new UnreadableFile(
      messageCode('orders.file.noColumn', {
        column: 'number',
        heading: heading.join(', ').slice(0, HEADING_SHOWN),
      }),
    )
  return { at, width: heading.length }
}

/**
 * An order line, or its problem; null for an empty row.
 * @param row counted from 1 below the heading
 */
export function readOrderRow(
  { at, width }: OrderTable,
  record: string[],
  row: number,
): { order: OrderRow } | { problems: OrderProblem[] } | null {
  if (record.every((value) => value.trim() === '')) return null
  const problems: OrderProblem[] = []
  const cell = (column: Column) => unguardFormulas((record[at[column] ?? -1] ?? '').trim())
  const problem = (field: Column, reason: string) => problems.push({ row, field, reason })
  const date = (column: 'placed_at' | 'delivered_at') => {
    const typed = cell(column)
    const read = typed === '' ? null : dayFirstDate(typed)
    if (typed !== '' && read === null) problem(column, messageCode('orders.file.noDate', { typed }))
    return read
  }
  for (const column of Object.keys(at) as Column[])
    if (cell(column).length > MAX_CELL_LENGTH)
      problem(column, messageCode('orders.file.long', { most: MAX_CELL_LENGTH }))
  if (problems.length > 0) return { problems }
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
    productTitle: cell('product_title').slice(0, PRODUCT_TITLE_LIMIT),
    placedAt,
    deliveredAt,
    status: cell('status').toLowerCase(),
  }
  return { order }
}

/**
 * All order lines of a CSV file, and the problems by row and field. A row with a problem is skipped.
 * @throws Error with a message code if it is no table or has no column of order numbers
 */
export function readOrderFile(text: string): OrderFile {
  separatorWatch()(text)
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
