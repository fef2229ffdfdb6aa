import { lazy, Suspense } from 'react'
import {
  businessForms,
  DISPLAY_LINE_LIMIT,
  DISPLAY_TITLE_LIMIT,
  shopForms,
} from '../../../core/display/choices'
import { layoutTraits } from '../../../core/display/layoutTraits'
import { otherSiteParts, summaryParts } from '../../../core/display/settings'
import { say } from '../../../core/messages/say/show'
import { SelectLine } from '../SelectLine'
import { SwitchLine } from '../SwitchLine'
import { changing, type StripProps } from './stripProps'

const HeadingOrder = lazy(() => import('./HeadingOrder'))

const field = 'input h-9 w-full border-edge text-[15px] text-ink'

export function TitleStrip(props: StripProps) {
  const { draft, view, change } = props
  const { heading } = draft
  const set = changing(props, 'heading')
  const setButton = (part: Partial<typeof heading.button>) => set({ button: { ...heading.button, ...part } })
  return (
    <div className="grid gap-x-6 gap-y-2 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1.3fr)_minmax(0,1fr)]">
      <div className="flex flex-col gap-1.5">
        <label className="grid grid-cols-[6.5rem_minmax(0,1fr)] items-center gap-2 text-soft">
          {say('show.titleLabel')}
          <input
            className={field}
            name="title"
            maxLength={DISPLAY_TITLE_LIMIT}
            placeholder={say('show.titlePlaceholder')}
            value={draft.title}
            onChange={(event) => change({ ...draft, title: event.currentTarget.value })}
          />
        </label>
        <label className="grid grid-cols-[6.5rem_minmax(0,1fr)] items-center gap-2 text-soft">
          {say('show.lineLabel')}
          <input
            className={field}
            name="line"
            maxLength={DISPLAY_LINE_LIMIT}
            placeholder={say('show.linePlaceholder')}
            value={heading.line}
            onChange={(event) => set({ line: event.currentTarget.value })}
          />
        </label>
      </div>
      <div className="flex flex-col gap-1.5">
        <div className="flex flex-wrap gap-x-5 gap-y-1">
          {summaryParts.map((part) => (
            <SwitchLine
              key={part}
              words={say(`display.summary.${part}`)}
              on={heading[part]}
              set={(on) => set({ [part]: on })}
            />
          ))}
          <SwitchLine words={say('display.bars')} on={heading.bars} set={(bars) => set({ bars })} />
          <SelectLine
            label={say('heading.shop')}
            value={heading.shop}
            choices={shopForms.map((form) => [form, say(`display.shopForm.${form}`)])}
            choose={(shop) => set({ shop })}
          />
        </div>
        {view.listings.length > 0 && (
          <div className="flex flex-wrap gap-x-5 gap-y-1">
            {otherSiteParts.map((part) => (
              <SwitchLine
                key={part}
                words={say(`display.otherSite.${part}`)}
                on={heading[part]}
                set={(on) => set({ [part]: on })}
              />
            ))}
            <SelectLine
              label={say('display.part.otherSites')}
              value={heading.business}
              choices={businessForms.map((form) => [form, say(`display.business.${form}`)])}
              choose={(business) => set({ business })}
            />
          </div>
        )}
        <p className="text-[12.5px] leading-snug text-soft">{say('show.pickedAlways')}</p>
      </div>
      <div className="flex flex-col gap-1.5">
        <div className="flex flex-wrap items-center gap-1.5 text-soft">
          {say('show.ownButton')}
          <input
            aria-label={say('show.buttonWords')}
            placeholder={say('show.buttonWords')}
            className="input input-sm min-w-0 flex-1 basis-24 border-edge text-ink"
            maxLength={40}
            value={heading.button.words}
            onChange={(event) => setButton({ words: event.currentTarget.value })}
          />
          <input
            aria-label={say('show.buttonAddress')}
            placeholder="https://"
            className="input input-sm w-full border-edge text-ink"
            defaultValue={heading.button.url}
            onChange={(event) => {
              const url = event.currentTarget.value.trim()
              if (url === '' || (/^https?:\/\//.test(url) && URL.canParse(url))) setButton({ url })
            }}
          />
        </div>
        <Suspense>
          <HeadingOrder order={heading.order} shown={shownBlocks(draft)} set={(order) => set({ order })} />
        </Suspense>
      </div>
    </div>
  )
}

const shownBlocks = ({ title, heading, layout }: StripProps['draft']) =>
  heading.order.filter(
    (block) =>
      ({
        shop: heading.shop !== 'none',
        business: heading.business !== 'none',
        title: title.trim() !== '',
        line: heading.line.trim() !== '',
        bars: heading.bars || layoutTraits[layout.kind].shows === 'summary',
        summary: true,
      })[block],
  )
