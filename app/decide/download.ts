import { createReadableStreamFromReadable } from '@react-router/node'
import { Readable } from 'node:stream'
import { dayIn } from '../../core/formats/dates'
import { csvText } from '../../core/formats/spreadsheetFile'
import { requireShop } from '../account/session'
import { openLane } from './openLane'
import { addAnswerColumns, headings, rowOf, type AnswerColumns } from './reviewSheet'
import type { Route } from './+types/download'

/** Spreadsheets read a file as UTF-8 only when it begins with this. */
const BYTE_ORDER_MARK = '\uFEFF'

/** All matches of a filter as a spreadsheet file, with their answers. It is sent while it is read. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'downloads')
  const { search, filter } = await openLane(request, context, shop, undefined)
  const reviews = () => context.elogio.reviewsToDownload(shop, filter)
  const columns: AnswerColumns = new Map()
  for await (const some of reviews()) addAnswerColumns(columns, some)
  async function* lines() {
    yield BYTE_ORDER_MARK + csvText([headings(columns)])
    for await (const some of reviews())
      yield csvText(some.map((review) => rowOf(review, columns, shop.timeZone)))
  }
  const name = `${shop.slug}-${search.lane}-${dayIn(shop.timeZone, context.elogio.now())}.csv`
  return new Response(createReadableStreamFromReadable(Readable.from(lines(), { objectMode: false })), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="${name}"`,
      'X-Content-Type-Options': 'nosniff',
      'Cache-Control': 'private, no-store',
    },
  })
}
