import { useEffect, useRef } from 'react'
import { writerInSentence, writerName } from '../../core/messages/writerName'
import { Link, NavLink } from 'react-router'
import { isNarrowed } from '../../core/moderation/reviewFilter'
import { scoredKinds, type SignalKind } from '../../core/moderation/signal'
import { HELD_FROM, openStates, reviewStates, type ReviewState } from '../../core/moderation/rules'
import { languageName } from '../../core/messages/languageName'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { say } from '../../core/messages/say/decide'
import type { ReviewLine } from '../../server/data/reviewLists'
import { RatingMark } from '../components/RatingMark'
import { FIRST_SHOWN, queuePath, type QueueSearch } from './address'
import { FoundWords } from './FoundWords'
import { matchCount } from './matchCount'
import type { Selection } from './useSelection'

type Line = ReviewLine & { when: string; tags: string[] }

export function QueueList({
  shop,
  search,
  lines,
  total,
  collapsed,
  totalIsLeast,
  languages,
  matches,
  selection,
}: {
  shop: string
  search: QueueSearch & { lane: ReviewState }
  lines: Line[]
  total: number
  /** The number of collapsed reviews. */
  collapsed: number
  totalIsLeast: boolean
  /** States that need no label. */
  languages: string[]
  /** Where else the words that are searched for stand; null if nothing is, or more than words. */
  matches: Record<ReviewState, number> | null
  selection: Selection
}) {
  const lane = say(`state.${search.lane}`).toLowerCase()
  const more = Math.min(total - collapsed - lines.length, FIRST_SHOWN)
  const narrowed = isNarrowed(search)
  return (
    <nav
      aria-label={say('decide.list')}
      className="relative min-h-0 flex-1 overflow-y-auto border-r border-line bg-paper"
    >
      {lines.length === 0 && (
        <p className="p-6 text-soft">
          {say(narrowed ? 'decide.emptyFiltered' : 'decide.emptyLane', { lane })}{' '}
          {narrowed && (
            <Link className="part" to={queuePath(shop, null, { lane: search.lane })}>
              {say('decide.anyAgain')}
            </Link>
          )}
          {matches && <ElsewhereFound {...{ shop, search, matches }} />}
        </p>
      )}
      {narrowed && lines.length > 0 && (
        <p className="border-b border-line px-5 py-1.5 text-[13px] text-soft" role="status">
          {totalIsLeast
            ? say('decide.totalLeast', { total })
            : say('decide.total', { shown: Math.min(lines.length, total), total })}
        </p>
      )}
      <ol>
        {lines.map((line) => (
          <li key={line.publicId} className="relative border-b border-line">
            <NavLink
              to={queuePath(shop, line.publicId, search)}
              className={({ isActive }) =>
                `block border-2 py-2.5 pr-[18px] pl-[45px] ${isActive ? 'border-petrol bg-tint' : 'border-transparent hover:bg-wash'}`
              }
            >
              {({ isActive }) => <LineWords line={line} open={isActive} languages={languages} q={search.q} />}
            </NavLink>
            <label className="absolute top-1.5 left-1.5 grid size-8 cursor-pointer place-items-center">
              <input
                type="checkbox"
                className="checkbox checkbox-sm rounded-[5px] border-edge bg-paper"
                aria-label={say('decide.many.select', { name: writerInSentence(line.authorName) })}
                checked={selection.isSelected(line.publicId)}
                onChange={(event) =>
                  selection.toggle(line.publicId, (event.nativeEvent as MouseEvent).shiftKey === true)
                }
              />
            </label>
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

/** Leads to the lists in which the words stand; without any, says that none has them. */
function ElsewhereFound({
  shop,
  search,
  matches,
}: {
  shop: string
  search: QueueSearch & { lane: ReviewState }
  matches: Record<ReviewState, number>
}) {
  const found = reviewStates.filter((state) => state !== search.lane && matches[state] > 0)
  return (
    <span className="mt-3 flex flex-col items-start gap-1">
      {say(found.length === 0 ? 'decide.nowhereFound' : 'decide.foundElsewhere')}
      {found.map((state) => (
        <Link key={state} className="part min-h-6" to={queuePath(shop, null, { lane: state, q: search.q })}>
          {say('decide.foundIn', {
            count: matchCount(matches[state]),
            lane: say(`state.${state}`).toLowerCase(),
          })}
        </Link>
      ))}
    </span>
  )
}

function LineWords({
  line,
  open,
  languages,
  q,
}: {
  line: Line
  open: boolean
  languages: string[]
  q: string | undefined
}) {
  const top = useRef<HTMLSpanElement>(null)
  useEffect(() => {
    if (open) top.current?.scrollIntoView({ block: 'nearest' })
  }, [open])
  return (
    <>
      <span ref={top} className="flex scroll-m-24 items-baseline justify-between gap-3">
        <b className="truncate font-semibold">
          <FoundWords text={writerName(line.authorName)} q={q} />
        </b>
        <span className="shrink-0 text-[12.5px] text-soft">{line.when}</span>
      </span>
      <span className="flex items-center gap-1.5">
        <RatingMark rating={line.rating} />
        <span className="truncate text-[12.5px] text-soft">
          {line.productTitle ?? say('decide.shopWhole')}
        </span>
      </span>
      <span
        className="customer-words mt-0.5 line-clamp-2 text-[16px] leading-[1.45] break-words"
        lang={line.language ?? undefined}
        dir="auto"
      >
        {line.title && (
          <b className="font-semibold">
            <FoundWords text={line.title} q={q} />.{' '}
          </b>
        )}
        {line.body ? (
          <FoundWords text={line.body} q={q} />
        ) : (
          !line.title && <span className="text-soft">{say('decide.noWords')}</span>
        )}
      </span>
      <Chips line={line} languages={languages} />
    </>
  )
}

const isPointed = (kind: SignalKind) => (scoredKinds as readonly SignalKind[]).includes(kind)

const tones = { plum: 'var(--color-error)', ochre: 'var(--color-warning)', moss: 'var(--color-success)' }

function Chips({ line, languages }: { line: Line; languages: string[] }) {
  const { score, kinds, verified, proofFailure, language, showable } = line
  const spammy = score >= HELD_FROM
  const found = kinds.filter((kind) => !(spammy && isPointed(kind)))
  return (
    <span className="mt-1.5 flex flex-wrap gap-1.5">
      {line.together > 1 && openStates.includes(line.state) && (
        <Chip tone="plum">
          {say(kinds.includes('nearcopy') ? 'group.saysSame' : 'group.cameTogether', {
            count: line.together,
          })}
        </Chip>
      )}
      {spammy && <Chip tone="plum">{say('decide.looksLikeSpam', { score })}</Chip>}
      {found.map((kind) => (
        <Chip key={kind} tone={isPointed(kind) ? 'plum' : 'ochre'}>
          {say(`signalShort.${kind}`)}
        </Chip>
      ))}
      {verified && <Chip tone="moss">{say('proof.verified')}</Chip>}
      {line.photos > line.videos && <Chip>{say('photos.short', { count: line.photos - line.videos })}</Chip>}
      {line.videos > 0 && <Chip>{say('photos.shortVideo', { count: line.videos })}</Chip>}
      {sourcePolicies[line.source].typedBy === 'shop' && <Chip>{say('decide.writtenDown')}</Chip>}
      {!verified && proofFailure && <Chip>{say(`proof.short.${proofFailure}`)}</Chip>}
      {language && !languages.includes(language) && <Chip>{languageName(language)}</Chip>}
      {line.needsReply && line.showable && line.state === 'approved' && (
        <Chip tone="ochre">{say('decide.filter.needsReply.yes')}</Chip>
      )}
      {!sourcePolicies[line.source].isPublic ? (
        <Chip tone="ochre">{say('decide.trial')}</Chip>
      ) : (
        !showable && <Chip tone="ochre">{say('decide.onlyYou')}</Chip>
      )}
      {line.tags.map((tag) => (
        <Chip key={tag}>{`#${tag}`}</Chip>
      ))}
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
