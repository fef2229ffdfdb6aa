import { useMemo } from 'react'
import type { ReactNode } from 'react'
import { readyLooks, themeOfLook } from '../../../core/display/looks'
import { resolveTheme } from '../../../core/display/theme'
import type { Theme } from '../../../core/display/themeSchema'
import { isSmall } from '../../../core/display/layoutTraits'
import { say } from '../../../core/messages/say/style'
import { shadowStyles } from '../../../onsite/styles'
import { ShadowHtml } from '../../components/ShadowHtml'
import { useMiniatures } from '../useMiniatures'
import type { StyleProps } from './styleProps'

/** All looks with the shop's own reviews; the arrow keys try one after the other. */
export function LookGallery({ draft, view, change, children }: StyleProps & { children?: ReactNode }) {
  const looks = [
    ...readyLooks.map((look) => ({
      look: look as string,
      words: say(`display.look.${look}`),
      theme: themeOfLook(look),
    })),
    ...view.ownLooks.map(({ publicId, name, theme }) => ({
      look: publicId,
      words: name,
      theme: { ...theme, look: publicId },
    })),
  ]
  const html = useMiniatures()?.[draft.layout.kind].html ?? ''
  return (
    <fieldset className="min-w-0">
      <legend className="sr-only">{say('style.looks')}</legend>
      <div
        className="relative flex gap-2 overflow-x-auto px-0.5 pt-0.5 pb-1 [scrollbar-width:thin]"
        data-looks
      >
        {looks.map(({ look, words, theme }) => (
          <label
            key={look}
            className="flex shrink-0 cursor-pointer flex-col items-center gap-1 rounded-[10px] border border-edge bg-paper p-1 text-[12px] leading-tight hover:bg-wash has-checked:border-petrol has-checked:bg-tint has-checked:font-semibold has-checked:ring-1 has-checked:ring-petrol has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-petrol"
          >
            <input
              type="radio"
              name="look"
              value={look}
              checked={draft.theme.look === look}
              onChange={() => change({ ...draft, theme })}
              className="sr-only"
            />
            <LookPicture view={view} kind={draft.layout.kind} html={html} theme={theme} />
            <span className="max-w-[120px] truncate">{words}</span>
          </label>
        ))}
        {children}
      </div>
    </fieldset>
  )
}

/** What a picture leaves out, and where it ends, in the pixels before it is scaled. */
const pictured = '.eg-sum{display:none!important}.eg{max-height:222px;overflow:hidden}'

/** The first reviews in a theme, small. Only the styles differ from the miniature of the layout. */
function LookPicture({
  view,
  kind,
  html,
  theme,
}: {
  view: StyleProps['view']
  kind: StyleProps['draft']['layout']['kind']
  html: string
  theme: Theme
}) {
  const { background, textColour, fonts } = view.look
  const css = useMemo(
    () =>
      shadowStyles({
        layout: { ...view.draft.layout, kind, columns: 2, marks: [400, 4000, 4000] },
        theme: resolveTheme({ ...theme, maxWidth: 0, around: 0 }, view.site),
        quotations: [],
        origins: [],
        business: null,
        paging: null,
        fontsUrl: view.fontsUrl,
      }),
    [view.draft.layout, view.site, view.fontsUrl, kind, theme],
  )
  return (
    <span
      className="block h-[60px] w-[120px] overflow-hidden rounded-md border border-line text-left"
      style={{ background, color: textColour, fontFamily: fonts || undefined }}
      inert
    >
      <ShadowHtml
        html={html.replace(/\beg-on-\w+/, `eg-on-${theme.background}`)}
        css={css + pictured}
        behaviours={fontsOnly}
        className={
          isSmall(kind)
            ? 'grid h-[152px] w-[272px] origin-top-left scale-50 place-items-center text-[18px]'
            : 'w-[444px] origin-top-left scale-[0.27] p-3 text-[21px]'
        }
      />
    </span>
  )
}

const fontsOnly = ['fonts' as const]
