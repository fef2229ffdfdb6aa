import { useEffect, useRef } from 'react'
import { Link, NavLink } from 'react-router'
import { HELD_FROM } from '../../core/moderation/rules'
import { say, type WordsKey } from '../../core/words/say'
import type { ReviewLine } from '../../server/data/reviewLists'
import { RatingMark } from '../components/RatingMark'
import { queuePath, type QueueSearch } from './address'

type Line = ReviewLine & { when: string }

/** One lane as a list. */
export function QueueList({
  shop,
  search,
  lines,
  more,
  shopLanguage,
}: {
  shop: string
  search: QueueSearch & { lane: NonNullable<QueueSearch['lane']> }
  lines: Line[]
  more: number
  shopLanguage: string
}) {
  const lane = say(`state.${search.lane}`).toLowerCase()
  return (
    <nav aria-label={say('decide.list')} className="relative overflow-y-auto border-r border-line bg-paper">
      {lines.length === 0 && (
        <p className="p-6 text-soft">
          {search.rating === undefined
            ? say('decide.emptyLane', { lane })
            : say('decide.emptyFiltered', {
                lane,
                filter: say('decide.rating', { rating: search.rating }),
              })}{' '}
          {search.rating !== undefined && (
            <Link className="part" to={queuePath(shop, null, { lane: search.lane })}>
              {say('decide.anyAgain')}
            </Link>
          )}
        </p>
      )}
      <ol>
        {lines.map((line) => (
          <li key={line.publicId} className="border-b border-line">
            <NavLink
              to={queuePath(shop, line.publicId, search)}
              className={({ isActive }) =>
                `block py-3 pr-[18px] pl-[19px] ${isActive ? 'border-l-[5px] border-petrol bg-tint' : 'border-l-[5px] border-transparent hover:bg-wash'}`
              }
            >
              {({ isActive }) => <LineWords line={line} open={isActive} shopLanguage={shopLanguage} />}
            </NavLink>
          </li>
        ))}
      </ol>
      {more > 0 && (
        <p className="p-4">
          <Link
            className="btn btn-quiet w-full"
            preventScrollReset
            to={queuePath(shop, lines[0]?.publicId ?? null, { ...search, show: search.show + more })}
          >
            {say('decide.more', { count: more })}
          </Link>
        </p>
      )}
    </nav>
  )
}

function LineWords({ line, open, shopLanguage }: { line: Line; open: boolean; shopLanguage: string }) {
  const top = useRef<HTMLSpanElement>(null)
  useEffect(() => {
    if (open) top.current?.scrollIntoView({ block: 'nearest' })
  }, [open])
  return (
    <>
      <span ref={top} className="flex scroll-m-24 items-baseline justify-between gap-3">
        <b className="truncate font-semibold">{line.authorName}</b>
        <span className="shrink-0 text-[12.5px] text-soft">{line.when}</span>
      </span>
      <span className="flex items-center gap-1.5">
        <RatingMark rating={line.rating} />
        <span className="truncate text-[12.5px] text-soft">{line.productTitle ?? say('decide.shop')}</span>
      </span>
      <span
        className="customer-words mt-0.5 line-clamp-2 text-[16px] leading-[1.45] break-words"
        lang={line.language ?? undefined}
        dir="auto"
      >
        {line.title && <b className="font-semibold">{line.title}. </b>}
        {line.body || (!line.title && <span className="text-soft">{say('decide.noWords')}</span>)}
      </span>
      <Chips line={line} shopLanguage={shopLanguage} />
    </>
  )
}

const tones = { plum: 'var(--color-error)', ochre: 'var(--color-warning)', moss: 'var(--color-success)' }

function Chips({ line, shopLanguage }: { line: Line; shopLanguage: string }) {
  const { score, kinds, verified, proofFailure, language, showable } = line
  const spammy = score >= HELD_FROM
  const found = kinds.filter((kind) => !(spammy && ['link', 'contact', 'filltime'].includes(kind)))
  return (
    <span className="mt-1.5 flex flex-wrap gap-1.5">
      {spammy && <Chip tone="plum">{say('decide.looksLikeSpam', { score })}</Chip>}
      {found.map((kind) => (
        <Chip key={kind} tone={kind === 'personal' ? 'ochre' : 'plum'}>
          {say(`signalShort.${kind}`)}
        </Chip>
      ))}
      {verified && <Chip tone="moss">{say('proof.verified')}</Chip>}
      {line.source === 'manualEntry' && <Chip>{say('decide.writtenDown')}</Chip>}
      {!verified && proofFailure && <Chip>{say(`proof.short.${proofFailure}`)}</Chip>}
      {language && language !== shopLanguage && <Chip>{say(`language.${language}` as WordsKey)}</Chip>}
      {!showable && <Chip tone="ochre">{say('decide.onlyYou')}</Chip>}
    </span>
  )
}

function Chip({ tone, children }: { tone?: keyof typeof tones; children: string }) {
  return (
    <span className="chip" style={tone && { ['--tone' as string]: tones[tone] }}>
      {children}
    </span>
  )
}
