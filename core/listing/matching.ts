import { z } from 'zod'
import { ANSWER_LABEL_LIMIT } from '../intake/answer'
import { MAX_COLUMNS } from './limits'

/** The highest ratings that a sheet can use. */
export const sheetScales = [5, 10, 100] as const
export type SheetScale = (typeof sheetScales)[number]

export const columnUses = ['name', 'rating', 'title', 'words', 'date', 'answer', 'private'] as const
/** What a column of a sheet is. Only answers can have several columns. */
export type ColumnUse = (typeof columnUses)[number]

const columnSchema = z.object({
  heading: z.string().max(300),
  use: z.enum(columnUses),
  /** Of an answer, for visitors. */
  label: z.string().trim().max(ANSWER_LABEL_LIMIT),
  /** A name without surname, a date without time of day. The rest is never stored. */
  isShortened: z.boolean(),
})
export type SheetColumn = z.infer<typeof columnSchema>

/** How the owner has matched the columns of a sheet. Columns that it does not name are private. */
export const matchingSchema = z
  .object({
    columns: z.array(columnSchema).max(MAX_COLUMNS),
    /** Of plain numbers. */
    scale: z.literal(sheetScales),
    isDayFirst: z.boolean(),
    timeZone: z.string().max(60),
  })
  .refine(({ columns }) => once(columns.map(({ heading }) => heading)))
  .refine(({ columns }) =>
    once(columns.filter(({ use }) => use !== 'answer' && use !== 'private').map(({ use }) => use)),
  )
  .refine(({ columns }) => once(columns.filter(({ use }) => use === 'answer').map(labelOf)))
export type SheetMatching = z.infer<typeof matchingSchema>

/** How the columns of a sheet are probably meant. */
export type GuessedMatching = Omit<SheetMatching, 'timeZone' | 'isDayFirst'> & {
  /** Null if it can't be told. */
  isDayFirst: boolean | null
}

const once = (values: string[]) => new Set(values).size === values.length

/** The label of an answer; its heading if the owner has given none. */
export const labelOf = ({ label, heading }: SheetColumn): string =>
  label || heading.slice(0, ANSWER_LABEL_LIMIT)

/** Whether a matching leaves something to show. */
export const showsSomething = ({ columns }: Pick<SheetMatching, 'columns'>): boolean =>
  columns.some(({ use }) => use === 'words' || use === 'answer' || use === 'rating')
