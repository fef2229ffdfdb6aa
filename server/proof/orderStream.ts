import { parse } from 'csv-parse'
import { Readable } from 'node:stream'
import {
  noTable,
  orderCsvOptions,
  readOrderHeading,
  readOrderRow,
  separatorWatch,
  UnreadableFile,
  type OrderProblem,
  type OrderRow,
} from '../../core/proof/orderFile'
import { decodedFile } from './decodedFile'

interface StreamedRow {
  /** Counted from 1 below the heading. */
  row: number
  order: OrderRow | null
  problems: OrderProblem[]
}

interface OrderStream {
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
  const watch = separatorWatch()
  async function* all() {
    watch(start)
    yield start
    for await (const part of { [Symbol.asyncIterator]: () => parts }) {
      watch(part)
      yield part
    }
  }
  const parser = parse(orderCsvOptions(start))
  // A pipe does not pass on errors.
  Readable.from(all())
    .on('error', (error) => parser.destroy(error))
    .pipe(parser)
  try {
    yield* parser as AsyncIterable<string[]>
  } catch (error) {
    throw error instanceof UnreadableFile ? error : noTable(error)
  } finally {
    parser.destroy()
  }
}
