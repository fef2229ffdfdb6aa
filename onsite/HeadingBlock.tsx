import type { headingBlocks } from '../core/display/choices'
import { layoutTraits } from '../core/display/layoutTraits'
import type { DisplayModel } from '../core/display/displayModel'
import { DisplayHeader } from './DisplayHeader'
import { RatingSummary } from './RatingSummary'

/** A part of what stands above the reviews; nothing if it is off. */
export function HeadingBlock({
  block,
  model,
}: {
  block: (typeof headingBlocks)[number]
  model: DisplayModel
}) {
  const { title, heading, business, shopName, shopLogo } = model
  switch (block) {
    case 'shop':
      return heading.shop === 'none' || (heading.shop === 'logo' && !shopLogo) ? null : (
        <p className="eg-shop" dir="auto">
          {heading.shop !== 'name' && shopLogo && (
            <img src={shopLogo} alt={heading.shop === 'logo' ? shopName : ''} height="40" />
          )}
          {heading.shop !== 'logo' && <b>{shopName}</b>}
        </p>
      )
    case 'business':
      return (
        business && (
          <p className="eg-business" dir="auto">
            {business.picture && <img src={business.picture} alt="" height="40" loading="lazy" />}
            <b>{business.name}</b>
          </p>
        )
      )
    case 'title':
      return (
        title && (
          <h2 className="eg-title" dir="auto">
            {title}
          </h2>
        )
      )
    case 'line':
      return heading.line.trim() ? (
        <p className="eg-line" dir="auto">
          {heading.line.trim()}
        </p>
      ) : null
    case 'bars':
      return showsBars(model) ? <RatingSummary model={model} /> : null
    case 'summary':
      return <DisplayHeader model={model} />
  }
}

/** A summary always says how the ratings spread; other layouts where the owner wants it. */
export const showsBars = ({ layout, heading }: Pick<DisplayModel, 'layout' | 'heading'>): boolean =>
  layoutTraits[layout.kind].shows === 'summary' || heading.bars
