import { z } from 'zod'
import type { GuessedMatching } from './matching'

/** Headings and rows of a sheet; all rows have as many cells as there are headings. */
export interface SheetCells {
  headings: string[]
  rows: string[][]
}

/** The first rows of a sheet, with long cells cut, for its owner to match the columns. */
export interface SheetSample extends SheetCells {
  guess: GuessedMatching
}

/** Cells that say something, but not what their column is matched with. Their rows are read without them. */
export const sheetProblemsSchema = z.object({
  count: z.number(),
  /** The first ones. Rows are counted from 1 below the headings. */
  first: z.array(
    z.object({ row: z.number(), heading: z.string(), use: z.enum(['rating', 'date']), cell: z.string() }),
  ),
  /** Rows that could not be read at all. */
  unreadRows: z.array(z.number()),
})
export type SheetProblems = z.infer<typeof sheetProblemsSchema>
