import type { Answer } from '../../core/intake/answer'
import type { WrittenPrecision } from '../../core/intake/review'
import { hasDate } from '../../core/display/toQuotation'
import { recordOf } from '../../core/formats/keysOf'
import { writerTextNames } from '../../core/intake/writerTexts'
import { dayIn } from '../../core/formats/dates'
import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/reviewSheet'
import type { ReviewRow } from '../../server/data/reviewRows'

/** The columns for answers: the latest wording of each question by its key. */
export type AnswerColumns = Map<string, string>

/** Columns of outside sheets have no id. */
const keyOf = ({ question, label }: Answer) => (question ? `id:${question}` : `label:${label}`)

/** Adds the questions of some reviews, which are newer than all after them. */
export function addAnswerColumns(columns: AnswerColumns, reviews: ReviewRow[]): void {
  for (const answer of reviews.flatMap(({ answers }) => answers))
    if (!columns.has(keyOf(answer))) columns.set(keyOf(answer), answer.label)
}

const yesOrNo = (is: boolean) => say(is ? 'sheet.yes' : 'sheet.no')

const LENGTH_OF: Record<WrittenPrecision, number> = { moment: 10, day: 10, month: 7, year: 4 }

/** `2026-11-30`, `2026-11`, `2026`, or nothing if it isn't known. */
const writtenOn = (review: ReviewRow, timeZone: string): string =>
  hasDate(review) ? dayIn(timeZone, review.writtenAt).slice(0, LENGTH_OF[review.writtenPrecision]) : ''

/** The value of each column, under the key of its heading. */
const cells = {
  state: ({ state }) => say(`state.${state}`),
  rating: ({ rating }) => (rating === null ? '' : String(rating / 100)),
  title: ({ title }) => title,
  body: ({ body }) => body,
  author_name: ({ authorName }) => authorName,
  ...recordOf(
    writerTextNames,
    (name) =>
      ({ [name]: text }: ReviewRow) =>
        text,
  ),
  author_email: ({ authorEmail }) => authorEmail ?? '',
  product: ({ productTitle }) => productTitle ?? '',
  written_at: writtenOn,
  received_at: ({ receivedAt }, timeZone) => dayIn(timeZone, receivedAt),
  source: ({ source }) => say(`source.${source}`),
  language: ({ language }) => (language ? languageName(language) : ''),
  bought: ({ verified }) => yesOrNo(verified),
  tags: ({ tags }) => tags.join(', '),
  photos: ({ photos }) => String(photos),
  reply: ({ reply }) => reply ?? '',
  note: ({ note }) => note,
  consent: ({ showable }) => yesOrNo(showable),
} satisfies Record<string, (review: ReviewRow, timeZone: string) => string>
const keys = Object.keys(cells) as (keyof typeof cells)[]

export const headings = (columns: AnswerColumns): string[] => [
  ...keys.map((key) => say(`sheet.${key}`)),
  ...columns.values(),
]

export function rowOf(review: ReviewRow, columns: AnswerColumns, timeZone: string): string[] {
  const answers = new Map(review.answers.map((answer) => [keyOf(answer), answer.value]))
  return [
    ...keys.map((key) => cells[key](review, timeZone)),
    ...[...columns.keys()].map((key) => answers.get(key) ?? ''),
  ]
}
