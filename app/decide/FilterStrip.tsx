import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react'
import { Link, useNavigate } from 'react-router'
import { isNarrowed, reviewSorts, WHOLE_SHOP, type ReviewFilter } from '../../core/moderation/reviewFilter'
import { say } from '../../core/messages/say/decide'
import type { Facets } from '../../server/moderation/facets'
import { Stitches } from '../components/RatingMark'
import { queuePath } from './address'
import { choiceWords, stripParts, type StripPart } from './filterWords'
import type { OpenStrip } from './FilterSentence'

interface Choice {
  value: string
  count: number | null
}

/** The choices of one part of the filter, or of all unset parts, with the number of matches of each. */
export function FilterStrip({
  shop,
  filter,
  facets,
  products,
  tags,
  open,
  close,
}: {
  shop: string
  filter: ReviewFilter
  facets: Facets
  products: { id: number; sku: string; title: string }[]
  tags: string[]
  open: OpenStrip
  close: () => void
}) {
  const strip = useRef<HTMLDivElement>(null)
  useEffect(() => strip.current?.querySelector<HTMLElement>('[aria-current], a, input')?.focus(), [open])
  const leave = () => {
    close()
    document.querySelector<HTMLElement>(`[data-filter=${open}]`)?.focus()
  }
  const titles = Object.fromEntries(products.map(({ sku, title }) => [sku, title]))
  const to = (change: Partial<ReviewFilter>) => queuePath(shop, null, { ...filter, ...change })
  // A search can only be sorted by arrival.
  const sorts = filter.q ? (['newest', 'oldest'] as const) : reviewSorts
  // The counters don't cover search, tags and dates, and numbers that ignore them would mislead.
  const exact = !filter.q && !filter.tag && !filter.from && !filter.to
  const choices = choicesOf(facets, products, tags)
  const rows: StripPart[] =
    open === 'and' ? stripParts.filter((part) => part !== 'rating') : open === 'sort' ? [] : [open]
  return (
    <div
      ref={strip}
      id="filter-strip"
      role="group"
      aria-label={say('decide.filter.strip')}
      className="flex max-h-[46vh] flex-col gap-2.5 overflow-y-auto border-b border-line bg-paper px-6 py-3"
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
      {rows.map((part) =>
        part === 'dates' ? (
          <Days key={part} shop={shop} filter={filter} />
        ) : (
          choices[part].length > 0 && (
            <Row key={part} name={say(`decide.filter.${part}.name`)}>
              <ChoiceLink to={to({ [part]: undefined })} chosen={filter[part] === undefined} close={close}>
                {part === 'rating' ? say('decide.filter.rating.any') : say('decide.filter.all')}
              </ChoiceLink>
              {choices[part].map(({ value, count }) => (
                <ChoiceLink
                  key={value}
                  to={to({ [part]: part === 'rating' ? Number(value) : value })}
                  chosen={String(filter[part]) === value}
                  close={close}
                >
                  {part === 'rating' && value !== '0' ? (
                    <span className="flex items-end gap-1.5">
                      <b className="leading-none">{value}</b>
                      <Stitches lit={Number(value)} />
                    </span>
                  ) : (
                    choiceWords(part, value, titles)
                  )}
                  {exact && count !== null && <span className="ml-2 text-soft">{count}</span>}
                </ChoiceLink>
              ))}
            </Row>
          )
        ),
      )}
      {open === 'and' && isNarrowed(filter) && (
        <p>
          <Link
            className="part"
            to={queuePath(shop, null, { lane: filter.lane, sort: filter.sort })}
            onClick={close}
          >
            {say('decide.filter.reset')}
          </Link>
        </p>
      )}
    </div>
  )
}

/** The choices of each part; products, sources and languages only if there are any. */
function choicesOf(
  facets: Facets,
  products: { id: number; sku: string; title: string }[],
  tags: string[],
): Record<Exclude<StripPart, 'dates'>, Choice[]> {
  const yesNo = (part: 'verified' | 'hasText' | 'needsReply') => [
    { value: 'yes', count: facets[part]['1'] ?? 0 },
    { value: 'no', count: facets[part]['0'] ?? 0 },
  ]
  const about = [{ id: 0, sku: WHOLE_SHOP }, ...products]
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
  }
}

const marksIn = (ratings: Record<string, number>, rating: number) => ratings[String(rating * 100)] ?? 0

const sorted = (counts: Record<string, number>): Choice[] =>
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

function Days({ shop, filter }: { shop: string; filter: ReviewFilter }) {
  const navigate = useNavigate()
  const day = (end: 'from' | 'to') => (
    <label className="flex items-center gap-2">
      <span className="text-soft">{say(`decide.filter.dates.${end}`)}</span>
      <input
        type="date"
        name={end}
        defaultValue={filter[end] ?? ''}
        className="input w-40 border-edge"
        onChange={(event) => {
          const value = event.currentTarget.value
          // An incomplete date has no value. Navigating then would remove the field.
          if (value || event.currentTarget.validity.valid)
            void navigate(queuePath(shop, null, { ...filter, [end]: value || undefined }))
        }}
      />
    </label>
  )
  return (
    <Row name={say('decide.filter.dates.name')}>
      {day('from')}
      {day('to')}
    </Row>
  )
}
