import { useState } from 'react'
import { hundredthsOfFive } from '../../core/formats/rating'
import { dateFormat } from '../../core/formats/dates'
import { ANSWER_LABEL_LIMIT } from '../../core/intake/answer'
import {
  columnUses,
  labelOf,
  showsSomething,
  type ColumnUse,
  type SheetColumn,
  type SheetMatching,
} from '../../core/listing/matching'
import { sheetScales, type SheetScale } from '../../core/listing/matching'
import type { SheetSample } from '../../core/listing/sheetSample'
import { sheetReviews } from '../../core/listing/sheet/sheetReviews'
import { say } from '../../core/messages/say/listings'
import { RatingMark } from '../components/RatingMark'

const EXAMPLES = 3

/**
 * What each column of a sheet is, with examples beside it and the first rows as visitors will read them. Sent
 * as the field `matching`.
 */
export function MatchColumns({
  sheet,
  start,
  locale,
}: {
  sheet: SheetSample
  start: SheetMatching
  locale: string
}) {
  const [matching, setMatching] = useState(() => startFor(sheet, start))
  const { columns } = matching
  const put = (heading: string, change: Partial<SheetColumn>) =>
    setMatching({
      ...matching,
      columns: columns.map((column) =>
        column.heading === heading
          ? { ...column, ...change }
          : // A review has one name, one rating and so on.
            change.use && change.use === column.use && !isRepeatable(column.use)
            ? { ...column, use: 'private' }
            : column,
      ),
    })
  return (
    <fieldset className="flex flex-col gap-4">
      <legend className="pb-1 text-[17px] font-semibold">{say('listings.sheet.title')}</legend>
      <p className="-mt-1 text-soft">{say('listings.sheet.why')}</p>
      <input type="hidden" name="matching" value={JSON.stringify(matching)} />
      <ul className="divide-y divide-line border-y border-line">
        {columns.map((column) => (
          <ColumnRow
            key={column.heading}
            column={column}
            examples={examplesOf(sheet, column.heading)}
            matching={matching}
            put={(change) => put(column.heading, change)}
            setMatching={setMatching}
          />
        ))}
      </ul>
      <Warnings matching={matching} />
      <FirstRows sheet={sheet} matching={matching} locale={locale} />
    </fieldset>
  )
}

const isRepeatable = (use: ColumnUse) => use === 'answer' || use === 'private'

/** The columns as they are now: those that the matching does not know are private. */
const startFor = (sheet: SheetSample, { columns, ...others }: SheetMatching): SheetMatching => ({
  ...others,
  columns: sheet.headings.map(
    (heading) =>
      columns.find((column) => column.heading === heading) ?? {
        heading,
        use: 'private',
        label: '',
        isShortened: false,
      },
  ),
})

function examplesOf({ headings, rows }: SheetSample, heading: string): string[] {
  const at = headings.indexOf(heading)
  return rows
    .map((cells) => cells[at] ?? '')
    .filter((cell) => cell !== '')
    .slice(0, EXAMPLES)
}

function ColumnRow({
  column: { heading, use, label, isShortened },
  examples,
  matching,
  put,
  setMatching,
}: {
  column: SheetColumn
  examples: string[]
  matching: SheetMatching
  put: (change: Partial<SheetColumn>) => void
  setMatching: (matching: SheetMatching) => void
}) {
  const choose = (next: ColumnUse) =>
    put({
      use: next,
      isShortened: next === 'name' || next === 'date',
      label: next === 'answer' ? label || heading.slice(0, ANSWER_LABEL_LIMIT) : label,
    })
  return (
    <li className="grid gap-x-6 gap-y-2 py-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,270px)]">
      <div className="min-w-0">
        <p className="font-semibold [overflow-wrap:anywhere]" dir="auto">
          {heading}
        </p>
        <p className="line-clamp-2 text-[13px] text-soft [overflow-wrap:anywhere]" dir="auto">
          {examples.join(' · ') || say('listings.sheet.empty')}
        </p>
      </div>
      <div className="flex flex-col gap-2">
        <select
          aria-label={say('listings.sheet.use', { heading })}
          className="select w-full border-edge"
          value={use}
          onChange={(event) => choose(event.currentTarget.value as ColumnUse)}
        >
          {columnUses.map((one) => (
            <option key={one} value={one}>
              {say(`listings.sheet.uses.${one}`)}
            </option>
          ))}
        </select>
        {use === 'answer' && (
          <input
            aria-label={say('listings.sheet.label')}
            className="input w-full border-edge"
            maxLength={ANSWER_LABEL_LIMIT}
            value={label}
            placeholder={heading}
            onChange={(event) => put({ label: event.currentTarget.value })}
          />
        )}
        {(use === 'name' || use === 'date') && (
          <label className="flex min-h-6 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm border-edge"
              checked={isShortened}
              onChange={(event) => put({ isShortened: event.currentTarget.checked })}
            />
            {say(use === 'name' ? 'listings.sheet.shortName' : 'listings.sheet.shortDate')}
          </label>
        )}
        {use === 'rating' && (
          <select
            aria-label={say('listings.sheet.uses.rating')}
            className="part w-fit min-h-6 cursor-pointer bg-transparent"
            value={matching.scale}
            onChange={(event) =>
              setMatching({ ...matching, scale: Number(event.currentTarget.value) as SheetScale })
            }
          >
            {sheetScales.map((scale) => (
              <option key={scale} value={scale}>
                {say('listings.sheet.scale', { scale })}
              </option>
            ))}
          </select>
        )}
        {use === 'date' && (
          <select
            aria-label={say('listings.sheet.uses.date')}
            className="part w-fit min-h-6 cursor-pointer bg-transparent"
            value={matching.isDayFirst ? 'dayFirst' : 'monthFirst'}
            onChange={(event) =>
              setMatching({ ...matching, isDayFirst: event.currentTarget.value === 'dayFirst' })
            }
          >
            {(['dayFirst', 'monthFirst'] as const).map((order) => (
              <option key={order} value={order}>
                {say(`listings.sheet.${order}`)}
              </option>
            ))}
          </select>
        )}
      </div>
    </li>
  )
}

function Warnings({ matching: { columns } }: { matching: SheetMatching }) {
  const labels = columns.filter(({ use }) => use === 'answer').map(labelOf)
  const words = !showsSomething({ columns })
    ? say('listings.sheet.nothing')
    : new Set(labels).size < labels.length
      ? say('listings.sheet.sameLabel')
      : null
  return (
    <p role="status" className="font-semibold text-plum">
      {words}
    </p>
  )
}

/** The sample as reviews, worked out by what will read the sheet. */
function FirstRows({
  sheet,
  matching,
  locale,
}: {
  sheet: SheetSample
  matching: SheetMatching
  locale: string
}) {
  const reviews = sheetReviews('https://sheet.example/', sheet, matching).slice(0, EXAMPLES)
  if (reviews.length === 0) return null
  return (
    <div>
      <h3 className="pb-1 text-[13px] text-soft">{say('listings.sheet.preview')}</h3>
      <ul className="grid gap-x-6 gap-y-4 sm:grid-cols-3">
        {reviews.map(({ key, rating, ratingScale, title, body, authorName, writtenAt, answers = [] }) => (
          <li key={key} className="min-w-0 border-t-2 border-ink pt-2 [overflow-wrap:anywhere]">
            {rating !== null && <RatingMark rating={hundredthsOfFive(rating, ratingScale ?? 5)} />}
            {title && (
              <p className="customer-words font-semibold" dir="auto">
                {title}
              </p>
            )}
            {body && (
              <p className="customer-words line-clamp-4" dir="auto">
                {body}
              </p>
            )}
            <p className="pt-1 text-[13px] text-soft" dir="auto">
              {[authorName, writtenAt && spokenDate(writtenAt, matching.timeZone, locale)]
                .filter(Boolean)
                .join(', ')}
            </p>
            <dl className="pt-1 text-[13px]">
              {answers.map(({ label, value }) => (
                <div key={label}>
                  <dt className="text-soft" dir="auto">
                    {label}
                  </dt>
                  <dd className="customer-words line-clamp-2" dir="auto">
                    {value}
                  </dd>
                </div>
              ))}
            </dl>
          </li>
        ))}
      </ul>
    </div>
  )
}

function spokenDate(date: string, timeZone: string, locale: string): string {
  const isDay = date.length === 10
  return dateFormat(locale, {
    timeZone: isDay ? 'UTC' : timeZone,
    dateStyle: 'medium',
    ...(!isDay && { timeStyle: 'short' as const }),
  }).format(new Date(date))
}
