import type { guessMatching } from './guessMatching'
import type { SheetCells } from './sheetTable'

/** The first rows of a sheet, with long cells cut, for its owner to match the columns. */
export interface SheetSample extends SheetCells {
  guess: ReturnType<typeof guessMatching>
}
