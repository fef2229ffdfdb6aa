import { Link } from 'react-router'
import { sentenceText } from '../../core/display/sentence'
import { say } from '../../core/words/say'
import { requireShop } from '../account/session'
import { ShadowHtml } from '../components/ShadowHtml'
import type { Route } from './+types/displays'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const displays = await context.elogio.listDisplays(shop)
  return displays.map(({ key, name, draft, live, changes, preview, dress }) => ({
    key,
    name,
    sentence: sentenceText(draft),
    state:
      live === null ? ('draft' as const) : changes.length > 0 ? ('draftDiffers' as const) : ('live' as const),
    preview,
    dress,
  }))
}

export default function Displays({ loaderData: displays, params }: Route.ComponentProps) {
  const live = displays.filter(({ state }) => state !== 'draft').length
  const differing = displays.filter(({ state }) => state === 'draftDiffers').length
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-6 py-6">
      <title>{`${say('show.title')} · Elogio`}</title>
      <h1>
        {displays.length === 0
          ? say('show.none')
          : `${live > 0 ? say('show.live', { count: live }) : say('show.noneLive')} ${
              differing > 0 ? say('show.differs', { count: differing }) : live > 0 ? say('show.allSame') : ''
            }`}
      </h1>
      <ul className="mt-5 grid gap-5 md:grid-cols-2 xl:grid-cols-3">
        {displays.map(({ key, name, sentence, state, preview, dress }) => (
          <li
            key={key}
            className="panel group relative flex flex-col overflow-hidden focus-within:border-petrol hover:border-petrol"
          >
            <div
              className="relative h-60 overflow-hidden border-b border-line"
              style={{ background: dress.ground, color: dress.ink, fontFamily: dress.fonts || undefined }}
              inert
            >
              <ShadowHtml {...preview} className="w-[880px] origin-top-left scale-[0.44] p-8 text-[17px]" />
            </div>
            <div className="flex flex-1 flex-col gap-1.5 px-5 py-4">
              <h2 className="flex items-baseline justify-between gap-3 text-[16px] font-semibold">
                <Link to={`/s/${params.shop}/show/${key}`} className="after:absolute after:inset-0">
                  {name}
                </Link>
                <span className={`chip shrink-0 font-normal`} style={{ ['--tone' as string]: tones[state] }}>
                  {say(`show.${state}`)}
                </span>
              </h2>
              <p className="text-soft">{sentence}</p>
            </div>
          </li>
        ))}
      </ul>
    </main>
  )
}

const tones = {
  live: 'var(--color-success)',
  draft: 'var(--color-secondary)',
  draftDiffers: 'var(--color-warning)',
}
