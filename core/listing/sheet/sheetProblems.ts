import { readDateCell, readRatingCell } from './cells'
import type { SheetMatching } from '../matching'
import type { SheetProblems } from '../sheetSample'
import type { SheetTable } from './sheetTable'

const MAX_SHOWN = 10
const MAX_CELL = 80

/** Which cells and rows of a table could not be read. */
export function sheetProblems(
  { headings, rows, unreadRows }: SheetTable,
  matching: SheetMatching,
): SheetProblems {
  const found: SheetProblems = { count: 0, first: [], unreadRows: unreadRows.slice(0, MAX_SHOWN) }
  const numbers = rowNumbers(rows.length, unreadRows)
  for (const { heading, use } of matching.columns) {
    if (use !== 'rating' && use !== 'date') continue
    const at = headings.indexOf(heading)
    const isRead = (cell: string) =>
      use === 'rating' ? readRatingCell(cell, matching.scale) : readDateCell(cell, matching)
    for (const [i, cells] of rows.entries()) {
      const cell = cells[at] ?? ''
      if (cell === '' || isRead(cell) !== null) continue
      found.count++
      if (found.first.length < MAX_SHOWN)
        found.first.push({ row: numbers[i]!, heading, use, cell: cell.slice(0, MAX_CELL) })
    }
  }
  return found
}

/** The numbers of the rows that were read. */
function rowNumbers(count: number, unreadRows: number[]): number[] {
  const unread = new Set(unreadRows)
  const numbers: number[] = []
  for (let row = 1; numbers.length < count; row++) if (!unread.has(row)) numbers.push(row)
  return numbers
}
