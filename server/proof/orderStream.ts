import { parse } from 'csv-parse'
import { Readable } from 'node:stream'
import {
  noTable,
  orderCsvOptions,
  readOrderHeading,
  readOrderRow,
  type OrderProblem,
  type OrderRow,
} from '../../core/proof/orderFile'
import { decodedFile } from './decodedFile'

export interface StreamedRow {
  /** Counted from 1 below the heading. */
  row: number
  order: OrderRow | null
  problems: OrderProblem[]
}

export interface OrderStream {
  /** @throws Error with a message code if the file is no table of orders */
  rows: AsyncGenerator<StreamedRow>
  bytesRead: () => number
}

/** The rows of an order file, one by one, with constant memory. */
export async function streamOrders(file: string): Promise<OrderStream> {
  const { text, bytesRead } = await decodedFile(file)
  async function* rows(): AsyncGenerator<StreamedRow> {
    let table: ReturnType<typeof readOrderHeading> | undefined
    let row = 0
    for await (const record of recordsOf(text)) {
      if (!table) {
        table = readOrderHeading(record)
        continue
      }
      row++
      const read = readOrderRow(table, record, row)
      if (read === null) continue
      yield {
        row,
        order: 'order' in read ? read.order : null,
        problems: 'problems' in read ? read.problems : [],
      }
    }
    if (!table) readOrderHeading(undefined)
  }
  return { rows: rows(), bytesRead }
}

async function* recordsOf(text: AsyncIterable<string>): AsyncGenerator<string[]> {
  const parts = text[Symbol.asyncIterator]()
  const first = await parts.next()
  const start = first.done ? '' : first.value
  async function* all() {
    yield start
    yield* { [Symbol.asyncIterator]: () => parts }
  }
  const parser = Readable.from(all()).pipe(parse(orderCsvOptions(start)))
  try {
    yield* parser as AsyncIterable<string[]>
  } catch (error) {
    throw noTable(error)
  } finally {
    parser.destroy()
  }
}
