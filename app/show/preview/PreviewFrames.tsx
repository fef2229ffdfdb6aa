import type { Configuration } from '../../../core/display/configuration'
import type { EditorView } from '../../../server/publishing/showViews'
import { PageFrame } from './PageFrame'
import { PlainBackground } from './PlainBackground'
import type { Clicked } from './previewParts'
import { PHONE } from './PreviewTools'
import type { PreviewPage } from './usePreviewPage'

/** The display in the shop's page or on a plain background, and on a phone beside it. */
export function PreviewFrames({
  view,
  draft,
  page,
  isBefore,
  width,
  isBeside,
  choosing,
  choose,
  clicked,
  stands,
}: {
  view: EditorView
  draft: Configuration
  page: PreviewPage
  /** Whether what is published is shown instead. */
  isBefore: boolean
  width: number
  isBeside: boolean
  choosing: boolean
  choose: (spot: string) => void
  clicked: (at: Clicked | null) => void
  /** Called with the element that contains the display, and how it stands in the shop's page. */
  stands: (element: HTMLElement, box: { width: number; placed: boolean } | null) => void
}) {
  const { background } = page
  const shown = (isBefore && view.published) || view.preview
  return (
    <div className="absolute inset-0 flex gap-3 overflow-hidden">
      <div className="h-full shrink-0 border-r-[3px] border-petrol" style={{ width }}>
        {background === 'page' ? (
          <PageFrame
            address={page.address!}
            displayKey={view.key}
            spot={draft.placement.spot}
            preview={shown}
            width={width - 3}
            choosing={choosing}
            choose={choose}
            clicked={clicked}
            failed={page.fail}
            stands={({ element, product, ...box }) => {
              stands(element, box)
              if (product && page.product === null && draft.selection.products.kind === 'page')
                page.setProduct(product)
            }}
          />
        ) : (
          <PlainBackground
            preview={shown}
            look={lookOn(background, view)}
            width={width - 3}
            clicked={clicked}
            stands={(element) => stands(element, null)}
          />
        )}
      </div>
      {isBeside && (
        <div className="h-full shrink-0 border-l border-line" style={{ width: PHONE }}>
          <PlainBackground
            preview={shown}
            look={lookOn(background === 'page' ? 'shop' : background, view)}
            width={PHONE}
            clicked={clicked}
            stands={nowhere}
          />
        </div>
      )}
    </div>
  )
}

const nowhere = () => undefined

function lookOn(background: Exclude<PreviewPage['background'], 'page'>, { look, colours }: EditorView) {
  return { ...colours.pages[background], fonts: look.fonts }
}
