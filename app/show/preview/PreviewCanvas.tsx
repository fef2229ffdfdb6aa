import { lazy, Suspense, useCallback, useEffect, useRef, useState, type ReactNode } from 'react'
import { Link, useSearchParams } from 'react-router'
import { bandAt, type Band } from '../../../core/display/bands'
import type { Configuration } from '../../../core/display/configuration'
import { trials, type Trial } from '../../../core/display/tryOut'
import { say } from '../../../core/messages/say/show'
import type { EditorView } from '../../../server/publishing/showViews'
import { SelectLine } from '../SelectLine'
import { PageFrame } from './PageFrame'
import { hasOwnCss } from './hasOwnCss'
import { PlainBackground } from './PlainBackground'
import type { Clicked } from './previewParts'
import { useHeldKey } from './useHeldKey'
import { Ruler } from './Ruler'

const ContrastLine = lazy(() => import('./ContrastLine'))
const OwnCssLine = lazy(() => import('./OwnCssLine'))
const PartChoices = lazy(() => import('./PartChoices'))

const NARROWEST = 240
const STEP = 10
/** Left and right padding together. */
const PLAIN_PADDING = 48
const PHONE = 390
const GAP = 12

const backgrounds = ['page', 'shop', 'white', 'dark', 'colour'] as const
type Background = (typeof backgrounds)[number]

/** The display as visitors get it, in the shop's page or on a plain background, at any width. */
export function PreviewCanvas({
  view,
  draft,
  change,
  only,
  setOnly,
  onlyHere,
  shop,
  pageAddress: wantedPage,
  measureIn,
}: {
  view: EditorView
  draft: Configuration
  change: (changed: Configuration) => void
  /** The widths that changes are meant for alone; null for all. */
  only: Band | null
  setOnly: (only: Band | null) => void
  onlyHere: (band: Band) => ReactNode
  shop: string
  /** The address of the shop's page without scripts; null if there is none. */
  pageAddress: string | null
  /** Called with the element that contains the display, for measuring heights. */
  measureIn: (box: HTMLElement) => void
}) {
  const [search, setSearch] = useSearchParams()
  const place = useRef<HTMLDivElement>(null)
  const [room, setRoom] = useState(900)
  const [wanted, setWanted] = useState<number | null>(null)
  const [box, setBox] = useState<{ width: number; placed: boolean } | null>(null)
  const [clicked, setClicked] = useState<{ at: Clicked; around: DOMRect } | null>(null)
  const [choosing, setChoosing] = useState(false)
  const [beside, setBeside] = useState(false)
  const [before, setBefore] = useHeldKey('b')
  const shown = (before && view.published) || view.preview
  const [failed, setFailed] = useState<{ address: string; why: string } | null>(null)
  useEffect(() => {
    if (!place.current) return
    const watch = new ResizeObserver(([entry]) => setRoom(Math.floor(entry!.contentRect.width)))
    watch.observe(place.current)
    return () => watch.disconnect()
  }, [])

  const pageProblem = failed?.address === wantedPage ? failed?.why : null
  const pageAddress = pageProblem ? null : wantedPage
  const asked = search.get('on') as Background | null
  const background: Background =
    asked && backgrounds.includes(asked) && (asked !== 'page' || pageAddress)
      ? asked
      : pageAddress
        ? 'page'
        : 'shop'
  const put = (name: string, value: string | null) => {
    const next = new URLSearchParams(search)
    if (value === null) next.delete(name)
    else next.set(name, value)
    setSearch(next, { replace: true, preventScrollReset: true })
  }
  const most = beside ? room - PHONE - GAP : room
  const width = Math.max(NARROWEST, Math.min(wanted ?? most, most))
  const boxWidth = background === 'page' ? (box?.width ?? width) : width - PLAIN_PADDING
  const band = bandAt(Math.round(boxWidth))
  useEffect(() => {
    if (only && only !== band) setOnly(null)
  }, [only, band, setOnly])
  const hear = useCallback(
    (at: Clicked | null) =>
      setClicked(at && place.current ? { at, around: place.current.getBoundingClientRect() } : null),
    [],
  )
  const choose = useCallback(
    (spot: string) => {
      setChoosing(false)
      change({ ...draft, placement: { ...draft.placement, spot } })
    },
    [change, draft],
  )
  const empty = view.picked.length === 0 && !view.samples
  return (
    <section aria-label={say('show.preview')} className="flex min-h-0 flex-1 flex-col px-4 pt-1 lg:px-6">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px] text-soft">
        <SelectLine
          className="part field-sizing-content min-h-6 bg-transparent"
          label={say('show.seenOn')}
          value={background}
          choices={backgrounds
            .filter((one) => one !== 'page' || pageAddress)
            .map((one) => [one, say(`show.on.${one}`)])}
          choose={(on) => put('on', on === (pageAddress ? 'page' : 'shop') ? null : on)}
        />
        <SelectLine
          className="part field-sizing-content min-h-6 bg-transparent"
          label={say('show.with')}
          value={(search.get('with') as Trial | null) ?? 'real'}
          choices={trials.map((trial) => [trial, say(`show.trial.${trial}`)])}
          choose={(trial) => put('with', trial === 'real' ? null : trial)}
        />
        <span className="flex gap-1">
          {([390, 768] as const).map((at) => (
            <button
              key={at}
              type="button"
              className="part min-h-6"
              aria-pressed={width === at}
              onClick={() => setWanted(width === at ? null : at)}
            >
              {say(at === 390 ? 'show.phone' : 'show.tablet')}
            </button>
          ))}
          {room > 2 * PHONE && (
            <button
              type="button"
              className="part min-h-6"
              aria-pressed={beside}
              onClick={() => setBeside(!beside)}
            >
              {say('preview.beside')}
            </button>
          )}
        </span>
        {view.published && (
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
        )}
        {band && onlyHere(band)}
        {background === 'page' && (
          <button
            type="button"
            className="part min-h-6"
            aria-pressed={choosing}
            onClick={() => setChoosing(!choosing)}
          >
            {say(choosing ? 'show.clickWhere' : box?.placed ? 'show.otherSpot' : 'show.chooseSpot')}
          </button>
        )}
        {!empty && (
          <Suspense>
            <ContrastLine view={view} draft={draft} change={change} />
            {hasOwnCss(view) && <OwnCssLine view={view} />}
          </Suspense>
        )}
        {!view.samples && !empty && !view.published && (
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
        {empty && (
          <span className="font-semibold text-ochre">
            {say(draft.whenEmpty === 'nothing' ? 'show.nothingAtAll' : 'show.nothing')}
          </span>
        )}
        {pageProblem && <span className="font-semibold text-ochre">{pageProblem}</span>}
      </div>
      <div className="relative h-8 shrink-0">
        <Ruler
          layout={draft.layout}
          offset={Math.max(0, width - boxWidth)}
          room={room}
          width={width}
          words={say('show.widthNow', { width: Math.round(boxWidth) })}
          change={(marks) => change({ ...draft, layout: { ...draft.layout, marks } })}
        />
        <label className="absolute inset-x-0 -bottom-1 z-10">
          <span className="sr-only">{say('show.width')}</span>
          <input
            type="range"
            min={NARROWEST}
            max={room}
            step={STEP}
            value={width}
            onChange={(event) => setWanted(event.currentTarget.valueAsNumber)}
            className="width-range"
            style={{ marginLeft: NARROWEST - 12, width: Math.max(0, room - NARROWEST + 24) }}
          />
        </label>
      </div>
      <div ref={place} className="relative min-h-0 flex-1">
        <div className="absolute inset-0 flex gap-3 overflow-hidden">
          <div className="h-full shrink-0 border-r-[3px] border-petrol" style={{ width }}>
            {background === 'page' ? (
              <PageFrame
                address={pageAddress!}
                displayKey={view.key}
                spot={draft.placement.spot}
                preview={shown}
                width={width - 3}
                choosing={choosing}
                choose={choose}
                clicked={hear}
                failed={(why) => setFailed({ address: pageAddress!, why })}
                stands={({ element, product, ...stands }) => {
                  setBox(stands)
                  measureIn(element)
                  if (product && !search.has('product') && draft.selection.products.kind === 'page')
                    put('product', product)
                }}
              />
            ) : (
              <PlainBackground
                preview={shown}
                look={lookOn(background, view)}
                width={width - 3}
                clicked={hear}
                stands={measureIn}
              />
            )}
          </div>
          {beside && (
            <div className="h-full shrink-0 border-l border-line" style={{ width: PHONE }}>
              <PlainBackground
                preview={shown}
                look={lookOn(background === 'page' ? 'shop' : background, view)}
                width={PHONE}
                clicked={hear}
                stands={nowhere}
              />
            </div>
          )}
        </div>
        <Suspense>
          {clicked && (
            <PartChoices
              clicked={clicked.at}
              around={clicked.around}
              view={view}
              draft={draft}
              change={change}
              shop={shop}
              close={() => setClicked(null)}
            />
          )}
        </Suspense>
      </div>
    </section>
  )
}

const nowhere = () => undefined

function lookOn(background: Exclude<Background, 'page'>, { look, colours }: EditorView) {
  return { ...colours.pages[background], fonts: look.fonts }
}
