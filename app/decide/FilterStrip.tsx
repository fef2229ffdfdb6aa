import type { ProductChoices } from '../../server/collection/productChoices'
import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react'
import { Link } from 'react-router'
import { isNarrowed, reviewSorts, WHOLE_SHOP, type ReviewFilter } from '../../core/moderation/reviewFilter'
import { say } from '../../core/messages/say/decide'
import type { Facets } from '../../server/moderation/facets'
import { Stitches } from '../components/RatingMark'
import { queuePath } from './address'
import { Days } from './Days'
import { choiceWords, type Titles } from './filterWords'
import { FilterSelect, MoreFilters, type FilterChoice, type FilterChoices } from './MoreFilters'
import type { OpenStrip } from './FilterSentence'

/** More choices than these are a select. */
const MOST_CHIPS = 24

interface FilterGiven {
  shop: string
  filter: ReviewFilter
  facets: Facets
  products: ProductChoices
  tags: string[]
  forms: { value: string }[]
  answers: { value: string }[]
  titles: Titles
  /** In the shop’s time zone. */
  today: string
  open: OpenStrip
  close: () => void
}

/** The choices of one part of the filter, or of all unset parts, with the number of matches of each. */
export function FilterStrip({
  shop,
  filter,
  facets,
  products,
  tags,
  forms,
  answers,
  titles,
  today,
  open,
  close,
}: FilterGiven) {
  const strip = useRef<HTMLDivElement>(null)
  useEffect(
    () => strip.current?.querySelector<HTMLElement>('[aria-current], a, select, input')?.focus(),
    [open],
  )
  const leave = () => {
    close()
    document.querySelector<HTMLElement>(`[data-filter=${open}]`)?.focus()
  }
  const to = (change: Partial<ReviewFilter>) => queuePath(shop, null, { ...filter, ...change })
  // A search can only be sorted by arrival.
  const sorts = filter.q ? (['newest', 'oldest'] as const) : reviewSorts
  // The counters don't cover search, tags and dates, and numbers that ignore them would mislead.
  const exact =
    !filter.q && !filter.tag && !filter.form && !filter.answer && !filter.media && !filter.from && !filter.to
  const choices = choicesOf(facets, { products, tags, forms, answers })
  return (
    <div
      ref={strip}
      id="filter-strip"
      role="group"
      aria-label={say('decide.filter.strip')}
      className="flex flex-col gap-2.5 border-b border-line bg-paper px-4 py-2.5 lg:px-6"
      onKeyDown={(event) => event.key === 'Escape' && leave()}
    >
      {open === 'sort' && (
        <Row name={say('decide.sort.name')}>
          {sorts.map((sort) => (
            <ChoiceLink
              key={sort}
              to={to({ sort })}
              chosen={(filter.sort ?? 'newest') === sort}
              close={close}
            >
              {say(`decide.sort.${sort}`)}
            </ChoiceLink>
          ))}
        </Row>
      )}
      {open === 'dates' ? (
        <Days shop={shop} filter={filter} today={today} />
      ) : open === 'and' ? (
        <MoreFilters
          filter={filter}
          titles={titles}
          choices={choices}
          exact={exact}
          to={to}
          reset={
            isNarrowed(filter) && (
              <Link
                className="min-h-6 text-petrol underline"
                to={queuePath(shop, null, { lane: filter.lane, sort: filter.sort })}
                onClick={close}
              >
                {say('decide.filter.reset')}
              </Link>
            )
          }
        >
          <Days shop={shop} filter={filter} today={today} />
        </MoreFilters>
      ) : (
        open !== 'sort' &&
        (choices[open].length > MOST_CHIPS ? (
          <FilterSelect part={open} {...{ filter, titles, choices, exact, to }} />
        ) : (
          <Row name={say(`decide.filter.${open}.name`)}>
            <ChoiceLink to={to({ [open]: undefined })} chosen={filter[open] === undefined} close={close}>
              {open === 'rating' ? say('decide.filter.rating.any') : say('decide.filter.all')}
            </ChoiceLink>
            {choices[open].map(({ value, count }) => (
              <ChoiceLink
                key={value}
                to={to({ [open]: open === 'rating' ? Number(value) : value })}
                chosen={String(filter[open]) === value}
                close={close}
              >
                {open === 'rating' && value !== '0' ? (
                  <span className="flex items-end gap-1.5">
                    <b className="leading-none">{value}</b>
                    <Stitches lit={Number(value)} />
                  </span>
                ) : (
                  choiceWords(open, value, titles)
                )}
                {exact && count !== null && <span className="ml-2 text-soft">{count}</span>}
              </ChoiceLink>
            ))}
          </Row>
        ))
      )}
    </div>
  )
}

/** The choices of each part; products, sources and languages only if there are any. */
function choicesOf(
  facets: Facets,
  { products, tags, forms, answers }: Pick<FilterGiven, 'products' | 'tags' | 'forms' | 'answers'>,
): FilterChoices {
  const yesNo = (part: 'verified' | 'hasText' | 'needsReply') => [
    { value: 'yes', count: facets[part]['1'] ?? 0 },
    { value: 'no', count: facets[part]['0'] ?? 0 },
  ]
  const about = [{ id: 0, sku: WHOLE_SHOP }, ...products.products]
  return {
    rating: [5, 4, 3, 2, 1, 0]
      .map((rating) => ({ value: String(rating), count: marksIn(facets.rating, rating) }))
      .filter(({ value, count }) => value !== '0' || count > 0),
    product: about
      .map(({ id, sku }) => ({ value: sku, count: facets.productId[id] ?? 0 }))
      .filter(({ count }) => count > 0),
    source: sorted(facets.source),
    language: sorted(facets.language).map(({ value, count }) => ({ value: value || '-', count })),
    bought: yesNo('verified'),
    words: yesNo('hasText'),
    needsReply: yesNo('needsReply'),
    tag: tags.map((value) => ({ value, count: null })),
    form: forms.map(({ value }) => ({ value, count: null })),
    answer: answers.map(({ value }) => ({ value, count: null })),
    media: ['photo', 'video'].map((value) => ({ value, count: null })),
  }
}

const marksIn = (ratings: Record<string, number>, rating: number) => ratings[String(rating * 100)] ?? 0

const sorted = (counts: Record<string, number>): FilterChoice[] =>
  Object.entries(counts)
    .map(([value, count]) => ({ value, count }))
    .toSorted((a, b) => b.count - a.count)

function Row({ name, children }: { name: string; children: ReactNode }) {
  const byArrow = (event: KeyboardEvent<HTMLElement>) => {
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
    if (!step) return
    const links = [...event.currentTarget.querySelectorAll('a')]
    const at = links.findIndex((link) => link === document.activeElement)
    links[(at + step + links.length) % links.length]?.focus()
    event.preventDefault()
  }
  return (
    <div role="group" aria-label={name} className="flex items-baseline gap-3" onKeyDown={byArrow}>
      <span className="w-20 shrink-0 text-[13px] text-soft" aria-hidden="true">
        {name}
      </span>
      <span className="flex flex-wrap gap-2">{children}</span>
    </div>
  )
}

function ChoiceLink({
  to,
  chosen,
  close,
  children,
}: {
  to: string
  chosen: boolean
  close: () => void
  children: ReactNode
}) {
  return (
    <Link
      to={to}
      aria-current={chosen ? 'true' : undefined}
      onClick={close}
      className={`flex min-h-8 items-center rounded-lg border px-3 py-1 ${
        chosen ? 'border-petrol bg-tint font-semibold' : 'border-edge hover:bg-wash'
      }`}
    >
      {children}
    </Link>
  )
}
