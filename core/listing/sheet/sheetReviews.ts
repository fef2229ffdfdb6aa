import { publicName } from '../../display/publicName'
import { dayIn } from '../../formats/dates'
import type { Answer } from '../../intake/answer'
import type { OriginReview } from '../originAdapter'
import { OriginRefusal } from '../originRefusal'
import { readLine, readText } from '../readAnswer'
import { readDateCell, readRatingCell } from './cells'
import { labelOf, type ColumnUse, type SheetColumn, type SheetMatching } from '../matching'
import { oldestFirst, rowKeys } from './rowKeys'
import type { SheetCells } from '../sheetSample'

interface Row extends Omit<OriginReview, 'key' | 'answers'> {
  answers: Answer[]
  /** Before it is shortened. */
  fullName: string
  fullDate: string | null
}

/**
 * The rows of a sheet as reviews, newest first. Empty rows are left out. Private columns are not read.
 * @throws OriginRefusal if a matched column is missing
 */
export function sheetReviews(
  address: string,
  { headings, rows }: SheetCells,
  matching: SheetMatching,
): OriginReview[] {
  const shown = matching.columns
    .filter(({ use }) => use !== 'private')
    .map((column) => ({ column, at: headings.indexOf(column.heading) }))
  if (shown.some(({ at }) => at === -1)) throw new OriginRefusal('columns')
  const found = rows
    .map((cells) =>
      rowOf(
        address,
        matching,
        shown.map(({ column, at }) => ({ column, cell: cells[at]! })),
      ),
    )
    .filter((row) => row.body !== '' || row.rating !== null || row.answers.length > 0 || row.title !== '')
  const keys = rowKeys(
    address,
    found.map(({ fullName, fullDate, title, body, rating, answers }) => ({
      name: fullName,
      writtenAt: fullDate,
      says: JSON.stringify([title, body, rating, answers]),
    })),
  )
  const order = oldestFirst(found.map(({ fullDate }) => ({ writtenAt: fullDate })))
  return order.toReversed().map((i) => {
    const { fullName: _name, fullDate: _date, ...review } = found[i]!
    return { key: keys[i]!, ...review }
  })
}

function rowOf(
  address: string,
  matching: SheetMatching,
  cells: { column: SheetColumn; cell: string }[],
): Row {
  const of = (use: ColumnUse) => cells.find(({ column }) => column.use === use)
  const text = (use: ColumnUse) => of(use)?.cell ?? ''
  const rating = readRatingCell(text('rating'), matching.scale)
  const fullName = readLine(text('name'))
  const fullDate = readDateCell(text('date'), matching)
  return {
    url: address,
    portrait: null,
    likes: null,
    claimsVerified: false,
    rating: rating?.value ?? null,
    ratingScale: rating?.scale ?? matching.scale,
    title: readLine(text('title')),
    body: readText(text('words')),
    authorName: of('name')?.column.isShortened ? publicName(fullName, 'firstInitial') : fullName,
    writtenAt: fullDate && of('date')!.column.isShortened ? dayOf(fullDate, matching.timeZone) : fullDate,
    answers: cells.flatMap(({ column, cell }) =>
      column.use === 'answer' && cell !== '' ? [{ label: labelOf(column), value: readText(cell) }] : [],
    ),
    fullName,
    fullDate,
  }
}

const dayOf = (date: string, timeZone: string) => (date.length === 10 ? date : dayIn(timeZone, date))
