import { Ellipsis } from 'lucide-react'
import { Link, useFetcher } from 'react-router'
import { spokenMoment } from '../../core/formats/dates'
import { say } from '../../core/messages/say/show'
import { requireShop } from '../account/session'
import { CARDS_OF_PAGE } from '../../core/display/paging'
import { Menu } from '../components/Menu'
import { pageIn } from '../components/pageIn'
import { PageLinks } from '../components/PageLinks'
import { SearchBox } from '../components/SearchBox'
import { ShadowHtml } from '../components/ShadowHtml'
import type { Done } from './manage'
import type { Route } from './+types/displays'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'displays')
  const { cards, unreadable, counts } = await context.elogio.displayCards(
    shop,
    pageIn(new URL(request.url).searchParams),
  )
  const spoken = {
    now: context.elogio.now(),
    timeZone: shop.timeZone,
    locale: shop.locale,
    today: say('today'),
  }
  return {
    displays: cards.map(({ seen, ...card }) => ({
      ...card,
      pages: seen.map(({ page }) => page),
      seenAt: seen[0] ? spokenMoment(seen[0].lastAt, spoken) : null,
    })),
    unreadable,
    counts,
  }
}

type Card = Route.ComponentProps['loaderData']['displays'][number]

export default function Displays({ loaderData, params }: Route.ComponentProps) {
  const { displays, unreadable, counts } = loaderData
  const manage = useFetcher<Done | { problem: string }>({ key: 'manage' })
  const { live, differing } = counts
  const done = manage.data && 'words' in manage.data ? manage.data : null
  const isInCard = displays.some(({ key }) => key === done?.key)
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto px-6 py-6">
      <title>{`${say('show.title')} · Elogio`}</title>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-3">
        <h1>
          {counts.all === 0
            ? say('show.none')
            : `${live > 0 ? say('show.liveCount', { count: live }) : say('show.noneLive')} ${
                differing > 0 ? say('show.differs', { count: differing }) : live > 0 ? seenWords(counts) : ''
              }`}
        </h1>
        <Link to={`/s/${params.shop}/show/new`} className="btn btn-primary">
          {say('show.another')}
        </Link>
        <Link to={`/s/${params.shop}/show/scratch`} className="part">
          {say('show.scratch')}
        </Link>
      </div>
      {counts.all > CARDS_OF_PAGE && (
        <div className="mt-4">
          <SearchBox label={say('show.find')} />
        </div>
      )}
      {!isInCard && <Outcome shop={params.shop} outcome={manage.data} />}
      {counts.matching === 0 && counts.all > 0 && <p className="mt-5 text-soft">{say('show.noneFound')}</p>}
      <ul className="mt-5 grid grid-cols-[minmax(0,1fr)] gap-5 md:grid-cols-2 xl:grid-cols-3">
        {displays.map((card) => (
          <DisplayCard
            key={card.key}
            shop={params.shop}
            card={card}
            act={manage.Form}
            outcome={card.key === done?.key ? done : null}
          />
        ))}
        {unreadable.map(({ key, name }) => (
          <li key={key} className="panel px-5 py-4">
            <h2 className="text-[16px] font-semibold">{name}</h2>
            <p className="mt-1 text-soft">{say('show.unreadable')}</p>
          </li>
        ))}
      </ul>
      <PageLinks count={counts.matching} ofPage={CARDS_OF_PAGE} />
    </main>
  )
}

function seenWords({ seen, live }: { seen: number; live: number }): string {
  if (seen === 0) return say('show.seenNone')
  return seen === live && live > 1 ? say('show.seenAll') : say('show.seenSome', { count: seen })
}

/** The result of the last action, with its undo. */
function Outcome({ shop, outcome }: { shop: string; outcome: Done | { problem: string } | undefined }) {
  const manage = useFetcher<Done>({ key: 'manage' })
  if (!outcome) return null
  if ('problem' in outcome)
    return (
      <p role="alert" className="mt-3 font-semibold text-plum">
        {outcome.problem}
      </p>
    )
  return (
    <p role="status" className="mt-3 flex items-center gap-3">
      {outcome.words}
      {outcome.undo && (
        <manage.Form method="post" action={`/s/${shop}/show/manage`}>
          <input type="hidden" name="intent" value="restoreDisplay" />
          <input type="hidden" name="key" value={outcome.undo.key} />
          <input type="hidden" name="live" value={outcome.undo.live} />
          <button className="btn btn-quiet btn-sm">{say('show.undo')}</button>
        </manage.Form>
      )}
    </p>
  )
}

function DisplayCard({
  shop,
  card: { key, name, sentence, state, wasPublished, changes, preview, look, pages, seenAt },
  act: Act,
  outcome,
}: {
  shop: string
  card: Card
  /** What was just done with it. */
  outcome: Done | null
  act: ReturnType<typeof useFetcher>['Form']
}) {
  const small = /class="eg eg-(badge|ratingLine)/.test(preview.html)
  return (
    <li
      className="panel relative flex flex-col focus-within:border-petrol hover:border-petrol"
      data-display={key}
    >
      <div
        className={`grid h-56 overflow-hidden rounded-t-[13px] border-b border-line ${small ? '' : 'grid-cols-[minmax(0,1fr)_96px]'}`}
        style={{ background: look.background, color: look.textColour, fontFamily: look.fonts || undefined }}
        inert
      >
        {small ? (
          <ShadowHtml {...preview} className="grid h-full place-items-center text-[20px]" />
        ) : (
          <>
            <div className="overflow-hidden">
              <ShadowHtml {...preview} className="w-[880px] origin-top-left scale-[0.34] p-8 text-[17px]" />
            </div>
            <div className="overflow-hidden border-l border-line">
              <ShadowHtml {...preview} className="w-[340px] origin-top-left scale-[0.28] p-4 text-[17px]" />
            </div>
          </>
        )}
      </div>
      <div className="flex flex-1 flex-col gap-1.5 px-5 py-4">
        <h2 className="flex items-baseline justify-between gap-3 text-[16px] font-semibold">
          <Link to={`/s/${shop}/show/${key}`} className="inline-block min-h-6 after:absolute after:inset-0">
            {name}
          </Link>
          <span className="chip shrink-0 font-normal" style={{ ['--tone' as string]: tones[state] }}>
            {state === 'draftDiffers' ? say('show.draftDiffers', { count: changes }) : say(`show.${state}`)}
          </span>
        </h2>
        <p className="text-soft">{sentence}.</p>
        {outcome && (
          <div className="relative z-10">
            <Outcome shop={shop} outcome={outcome} />
          </div>
        )}
        <div className="mt-auto flex items-end justify-between gap-3 pt-1 text-[13px]">
          <p className="min-w-0 text-soft">
            {pages.length === 0 ? (
              say(state !== 'draft' ? 'show.nowhere' : wasPublished ? 'show.unpublished' : 'show.nowhereYet')
            ) : (
              <>
                <span className="block truncate">{say('show.standsOn', { page: pathOf(pages[0]!) })}</span>
                {say('show.seenAt', { at: seenAt!, count: pages.length })}
              </>
            )}
          </p>
          <div className="relative z-10 shrink-0">
            <Menu
              label={<Ellipsis className="mx-0.5 size-5 text-soft" aria-hidden="true" />}
              name={say('show.actsOn', { name })}
              up
            >
              <Act method="post" action={`/s/${shop}/show/manage`} className="flex flex-col">
                <input type="hidden" name="key" value={key} />
                <MenuAct intent="copy" words={say('show.copyDisplay')} />
                {state !== 'draft' && <MenuAct intent="down" words={say('show.takeDown')} />}
                <MenuAct intent="remove" words={say('show.remove')} />
              </Act>
            </Menu>
          </div>
        </div>
      </div>
    </li>
  )
}

function MenuAct({ intent, words }: { intent: string; words: string }) {
  return (
    <button name="intent" value={intent} className="min-h-9 rounded-lg px-3 text-left hover:bg-wash">
      {words}
    </button>
  )
}

const pathOf = (page: string) => page.replace(/^https?:\/\//, '')

const tones = {
  live: 'var(--color-success)',
  draft: 'var(--color-secondary)',
  draftDiffers: 'var(--color-warning)',
}
