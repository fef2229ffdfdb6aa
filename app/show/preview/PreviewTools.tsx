import { MonitorSmartphone, Smartphone, Tablet } from 'lucide-react'
import { lazy, Suspense, type ReactNode } from 'react'
import { Link } from 'react-router'
import type { Configuration } from '../../../core/display/configuration'
import { trials } from '../../../core/display/tryOut'
import { say } from '../../../core/messages/say/show'
import type { EditorView } from '../../../server/publishing/showViews'
import { SelectLine } from '../SelectLine'
import { hasOwnCss } from './hasOwnCss'
import type { PreviewPage } from './usePreviewPage'

const ContrastLine = lazy(() => import('./ContrastLine'))
const OwnCssLine = lazy(() => import('./OwnCssLine'))

/** The width of a phone in CSS pixels, and that of a tablet. */
export const PHONE = 390
const TABLET = 768
const sizes = [
  { at: PHONE, name: 'show.phone', Icon: Smartphone },
  { at: TABLET, name: 'show.tablet', Icon: Tablet },
] as const

interface Given {
  view: EditorView
  draft: Configuration
  change: (changed: Configuration) => void
  shop: string
  page: PreviewPage
  width: number
  setWidth: (width: number | null) => void
  /** Whether a phone is shown beside it; null without room for one. */
  beside: boolean | null
  setBeside: (beside: boolean) => void
  /** Whether what is published is shown instead. */
  before: boolean
  setBefore: (before: boolean) => void
  /** Whether the place of the display is being chosen, and whether it has one. */
  choosing: boolean
  setChoosing: (choosing: boolean) => void
  placed: boolean
  onlyHere: ReactNode
}

/** What the display is seen on and with, and what is to be said of it. */
export function PreviewTools(given: Given) {
  const { view, page, draft, change, shop, onlyHere } = given
  const isEmpty = view.picked.length === 0 && !view.samples
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px] text-soft">
      <SeenOn page={page} />
      <Widths {...given} />
      {view.published && <Before {...given} />}
      {onlyHere}
      {page.background === 'page' && <Spot {...given} />}
      {!isEmpty && (
        <Suspense>
          <ContrastLine view={view} draft={draft} change={change} />
          {hasOwnCss(view) && <OwnCssLine view={view} />}
        </Suspense>
      )}
      <Notes {...{ view, draft, shop, isEmpty }} />
      {page.problem && <span className="font-semibold text-ochre">{page.problem}</span>}
    </div>
  )
}

function SeenOn({ page }: { page: PreviewPage }) {
  return (
    <>
      <SelectLine
        className="part field-sizing-content min-h-6 bg-transparent"
        label={say('show.seenOn')}
        value={page.background}
        choices={page.backgrounds.map((one) => [one, say(`show.on.${one}`)])}
        choose={page.setBackground}
      />
      <SelectLine
        className="part field-sizing-content min-h-6 bg-transparent"
        label={say('show.with')}
        value={page.trial}
        choices={trials.map((trial) => [trial, say(`show.trial.${trial}`)])}
        choose={page.setTrial}
      />
    </>
  )
}

function Widths({ width, setWidth, beside, setBeside }: Given) {
  return (
    // On a phone every width is a phone's.
    <span className="hidden gap-3 lg:flex">
      {sizes.map(({ at, name, Icon }) => (
        <button
          key={at}
          type="button"
          className="part inline-flex min-h-6 items-center gap-1"
          aria-pressed={width === at}
          onClick={() => setWidth(width === at ? null : at)}
        >
          <Icon className="size-4" aria-hidden="true" />
          {say(name)}
        </button>
      ))}
      {beside !== null && (
        <button
          type="button"
          className="part inline-flex min-h-6 items-center gap-1"
          aria-pressed={beside}
          onClick={() => setBeside(!beside)}
        >
          <MonitorSmartphone className="size-4" aria-hidden="true" />
          {say('preview.beside')}
        </button>
      )}
    </span>
  )
}

/** Shows what visitors see now, while it is pressed. */
function Before({ before, setBefore }: Given) {
  return (
    <button
      type="button"
      className="part min-h-6 select-none"
      aria-pressed={before}
      aria-keyshortcuts="b"
      title={say('preview.holdKey')}
      onPointerDown={() => setBefore(true)}
      onPointerUp={() => setBefore(false)}
      onPointerLeave={() => setBefore(false)}
    >
      {say(before ? 'preview.isBefore' : 'preview.before')}
    </button>
  )
}

function Spot({ choosing, setChoosing, placed }: Given) {
  return (
    <button
      type="button"
      className="part min-h-6"
      aria-pressed={choosing}
      onClick={() => setChoosing(!choosing)}
    >
      {say(choosing ? 'show.clickWhere' : placed ? 'show.otherSpot' : 'show.chooseSpot')}
    </button>
  )
}

function Notes({
  view,
  draft,
  shop,
  isEmpty,
}: Pick<Given, 'view' | 'draft' | 'shop'> & { isEmpty: boolean }) {
  return (
    <>
      {!view.samples && !isEmpty && !view.published && (
        <span className="ml-auto hidden lg:inline">{say('show.clickToChange')}</span>
      )}
      {view.samples && (
        <span className="font-semibold text-ink">
          {say('show.samples')}{' '}
          <Link className="part" to={`/s/${shop}/gather/write`}>
            {say('show.firstOne')}
          </Link>
        </span>
      )}
      {isEmpty && (
        <span className="font-semibold text-ochre">
          {say(draft.whenEmpty === 'nothing' ? 'show.nothingAtAll' : 'show.nothing')}
        </span>
      )}
    </>
  )
}
