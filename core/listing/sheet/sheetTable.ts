import { unguardFormulas } from '../../formats/spreadsheetFile'
import type { SheetCells } from '../sheetSample'
import { OriginRefusal } from '../originRefusal'
import { MAX_BODY, MAX_COLUMNS, MAX_ROWS } from '../limits'
import { csvLines } from './csvLines'
import { walkWhole } from './walkWhole'

/** A table as it was read. */
export interface SheetTable extends SheetCells {
  /** Rows that could not be read, counted from 1 below the headings. They are missing in `rows`. */
  unreadRows: number[]
}

const MAX_HEADING = 200

export const isCsv = ({ contentType }: { contentType: string }): boolean =>
  /^(text\/(csv|plain|tab-separated-values)|application\/(csv|octet-stream))\b/i.test(contentType)

/** @throws OriginRefusal if it's empty or too large, or its last row can't be read */
export function readCsv(text: string): SheetTable {
  const lines = csvLines(text, MAX_ROWS)
  if (!lines) throw new OriginRefusal('noReviews')
  if (lines.isCut) throw new OriginRefusal('unreadable')
  return checkedTable(lines.headings, lines.rows, lines.unreadRows)
}

function checkedTable(headings: string[], rows: string[][], unreadRows: number[] = []): SheetTable {
  if (rows.length > MAX_ROWS || headings.length > MAX_COLUMNS) throw new OriginRefusal('tooLarge')
  return {
    headings: distinct(
      headings.map((heading) => cellText(heading).replace(/\s+/g, ' ').slice(0, MAX_HEADING)),
    ),
    rows: rows.map((cells) => headings.map((_, i) => cellText(cells[i] ?? ''))),
    unreadRows,
  }
}

const cellText = (cell: string) => unguardFormulas(cell).slice(0, MAX_BODY).trim()

/** Columns are matched by their headings, so those without one, or with the same, get a number. */
function distinct(headings: string[]): string[] {
  const seen = new Map<string, number>()
  return headings.map((heading) => {
    const times = (seen.get(heading) ?? 0) + 1
    seen.set(heading, times)
    return heading !== '' && times === 1 ? heading : `${heading} (${times})`.trim()
  })
}

/**
 * The table of a page that has the most cells; null if none has headings and a row. Tables within a table
 * count as text of their cell.
 * @throws OriginRefusal if the page is too large
 */
export function readHtmlTable(html: string): SheetTable | null {
  const tables: string[][][] = []
  let depth = 0
  let cell: string | null = null
  const endCell = () => {
    if (cell !== null) tables.at(-1)?.at(-1)?.push(cell)
    cell = null
  }
  walkWhole(html, {
    open: (name) => {
      if (name === 'table' && depth++ === 0) tables.push([])
      if (depth !== 1) return
      if (name === 'tr') tables.at(-1)!.push([])
      if (name === 'td' || name === 'th') cell = ''
      if (name === 'br' && cell !== null) cell += '\n'
    },
    close: (name) => {
      if (name === 'table') {
        if (depth === 1) endCell()
        depth = Math.max(0, depth - 1)
      }
      if (depth === 1 && (name === 'td' || name === 'th')) endCell()
    },
    text: (text) => {
      if (cell !== null) cell += text
    },
  })
  const largest = tables.map(linesOf).toSorted((a, b) => cellsOf(b) - cellsOf(a))[0]
  return largest && largest.rows.length > 0 ? checkedTable(largest.headings, largest.rows) : null
}

const cellsOf = ({ headings, rows }: SheetCells) => headings.length * rows.length

function linesOf(lines: string[][]): SheetCells {
  const [headings = [], ...rows] = lines.filter((cells) => cells.some((cell) => cell.trim() !== ''))
  return { headings, rows }
}
