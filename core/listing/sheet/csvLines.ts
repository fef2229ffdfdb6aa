import { parse, type Options } from 'csv-parse/sync'

interface CsvLines {
  headings: string[]
  rows: string[][]
  /** Rows that could not be read, counted from 1 below the headings. They are missing in `rows`. */
  unreadRows: number[]
  /** Whether the last row is one of them: the file may have been cut. */
  isCut: boolean
}

const MAX_RECORD = 1_000_000
const START = 20_000

/**
 * The lines of a CSV file, separated by commas, semicolons or tabs. The first one with content has the headings.
 * If quotation marks are out of place, or a row has more or fewer cells, the file is read line by line, and only
 * those rows are left out. Null if it is empty.
 * @param most rows; one more is returned if there are more
 */
export function csvLines(text: string, most: number): CsvLines | null {
  const given = text.replace(/^\uFEFF/u, '').replace(/\r\n?/g, '\n')
  const options: Options = {
    delimiter: delimiterOf(given.slice(0, START)),
    skip_empty_lines: true,
    skip_records_with_empty_values: true,
    to: most + 2,
    max_record_size: MAX_RECORD,
  }
  const [headings, ...rows] = parsed(given, options) ?? []
  if (headings) return { headings, rows, unreadRows: [], isCut: false }
  return oneByOne(given, options, most)
}

function parsed(text: string, options: Options): string[][] | null {
  try {
    return parse(text, options) as unknown as string[][]
  } catch {
    return null
  }
}

function oneByOne(text: string, options: Options, most: number): CsvLines | null {
  const lines = text.split('\n', most + 2).filter((line) => line.trim() !== '')
  const cellsOf = (line: string) =>
    parsed(line, options)?.[0] ?? (options.delimiter === '\t' ? line.split('\t') : null)
  const headings = lines[0] === undefined ? null : cellsOf(lines[0])
  if (!headings) return null
  const rows: string[][] = []
  const unreadRows: number[] = []
  for (const [i, line] of lines.slice(1).entries()) {
    const cells = cellsOf(line)
    if (cells?.length === headings.length) rows.push(cells)
    else unreadRows.push(i + 1)
  }
  return { headings, rows, unreadRows, isCut: unreadRows.at(-1) === lines.length - 1 }
}

/** The one of comma, semicolon and tab that the headings have most outside quotation marks. */
function delimiterOf(start: string): string {
  const heading = /^\s*((?:"(?:[^"]|"")*"|[^"\n])*)/u.exec(start)?.[1] ?? ''
  const bare = heading.replace(/"(?:[^"]|"")*"/g, '')
  const count = (delimiter: string) => bare.split(delimiter).length
  return [',', ';', '\t'].toSorted((a, b) => count(b) - count(a))[0]!
}
