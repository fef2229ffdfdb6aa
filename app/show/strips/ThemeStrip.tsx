import { lazy, Suspense, useState } from 'react'
import { lookFromPage } from '../../../core/display/lookFromPage'
import { layoutTraits } from '../../../core/display/layoutTraits'
import {
  changedTexts,
  differsFromLook,
  isChangedLook,
  themeBefore,
  themeGroups,
  type ThemeGroup,
} from '../../../core/display/lookChanges'
import { say } from '../../../core/messages/say/style'
import { ButtonFields } from '../style/ButtonFields'
import { CardFields } from '../style/CardFields'
import { ColourFields } from '../style/ColourFields'
import { LookGallery } from '../style/LookGallery'
import { OwnLooks } from '../style/OwnLooks'
import { readPageStyle } from '../style/readPageStyle'
import type { StyleProps } from '../style/styleProps'
import { WholeFields } from '../style/WholeFields'
import { Faults } from '../style/Faults'
import type { StripProps } from './stripProps'

const fields: Record<ThemeGroup, React.ComponentType<StyleProps>> = {
  colours: ColourFields,
  whole: WholeFields,
  cards: CardFields,
  buttons: ButtonFields,
  css: lazy(() => import('../style/CssFields')),
}

/** The looks, and below them the settings of one group. */
export function ThemeStrip(props: StripProps) {
  const { draft, view, change, page } = props
  const [open, setOpen] = useState<ThemeGroup | null>(null)
  const { theme } = draft
  const before = themeBefore(theme, view.ownLooks)
  const { shows } = layoutTraits[draft.layout.kind]
  const groups = themeGroups.filter((group) => group !== 'cards' || shows === 'reviews')
  const Fields = open && fields[open]
  return (
    <div className="flex flex-col gap-1">
      {open === null && (
        <LookGallery {...props}>
          {page && (
            <button
              type="button"
              className="order-first flex w-[130px] shrink-0 flex-col items-start justify-center gap-1 rounded-[10px] border border-dashed border-edge px-2.5 text-left text-[12.5px] leading-tight text-petrol hover:bg-wash"
              onClick={() => change({ ...draft, theme: lookFromPage(readPageStyle(page)) })}
            >
              <b className="font-semibold">{say('style.fromPage')}</b>
              <span className="text-soft">{say('style.fromPageWhy')}</span>
            </button>
          )}
        </LookGallery>
      )}
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        {groups.map((group) => (
          <button
            key={group}
            type="button"
            className="part min-h-6"
            aria-expanded={open === group}
            onClick={() => setOpen(open === group ? null : group)}
          >
            {say(`style.group.${group}`)}
            {differsFromLook(theme, before, group) && (
              <span className="ml-1 font-normal text-soft">({say('style.changed')})</span>
            )}
          </button>
        ))}
        {isChangedLook(theme, before) && (
          <button type="button" className="part min-h-6" onClick={() => change({ ...draft, theme: before })}>
            {say('style.wholeBack')}
          </button>
        )}
        {changedTexts(theme, before).length > 0 && (
          <span className="text-[13px] text-soft">
            {say('style.changedTexts', {
              texts: changedTexts(theme, before)
                .map((part) => say(`display.textPart.${part}`))
                .join(', '),
            })}
          </span>
        )}
        <span className="ml-auto" />
        {open === null && <OwnLooks {...props} />}
      </div>
      <Suspense fallback={<div className="h-44" />}>{Fields && <Fields {...props} />}</Suspense>
      <Faults {...props} />
    </div>
  )
}
