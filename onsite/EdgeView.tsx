import type { ReactNode } from 'react'
import type { DisplayModel } from '../core/display/displayModel'
import { oneDecimal } from '../core/formats/rating'
import { Glyphs } from './Glyphs'
import { regionName } from './regionName'

/**
 * A mark and what it opens. `behaviour/edge.ts` puts the mark at the edge of the page and opens the reviews over it;
 * without scripts both stand where the code stands.
 */
export function EdgeView({ model, children }: { model: DisplayModel; children: ReactNode }) {
  const { tally, translate, locale, parts, layout, title } = model
  const side = layout.edgeSide
  return (
    <>
      <button type="button" className={`eg-mark eg-mark-${side}`} aria-haspopup="dialog">
        {tally.average === null ? (
          regionName(model)
        ) : (
          <>
            <Glyphs marks={1} of={1} glyph={parts.glyph} /> <span>{oneDecimal(tally.average, locale)}</span>{' '}
            <span>{translate('visitor.of', { count: tally.count })}</span>
          </>
        )}
      </button>
      <dialog className={`eg-sheet eg-sheet-${side}`} aria-label={title || regionName(model)}>
        <button type="button" className="eg-shut" aria-label={translate('visitor.close')}>
          ×
        </button>
        {children}
      </dialog>
    </>
  )
}
