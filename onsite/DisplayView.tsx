import { isAtEdge, isSmall, isTable, layoutTraits, showsReviews } from '../core/display/layoutTraits'
import type { DisplayModel } from '../core/display/displayModel'
import { regionName } from './regionName'
import { EdgeView } from './EdgeView'
import { Pages } from './Pages'
import { QuotationView } from './QuotationView'
import { Slides } from './Slides'
import { HeadingBlock } from './HeadingBlock'
import { OriginFilter } from './OriginFilter'
import { ReviewTable } from './ReviewTable'
import { RatingSummary } from './RatingSummary'

export function DisplayView({
  model,
  modules,
}: {
  model: DisplayModel
  /** Addresses of its modules, separated by spaces. */
  modules?: string
}) {
  const { layout, title, quotations, whenEmpty, theme, scheme } = model
  const empty = quotations.length === 0 && (model.publishableCount === 0 || showsReviews(layout.kind))
  if (empty && whenEmpty === 'nothing') return null
  const classes = ['eg', `eg-${layout.kind}`, `eg-on-${theme.background}`, scheme && `eg-${scheme}`]
  if (isSmall(layout.kind))
    return (
      <div className={classes.filter(Boolean).join(' ')} lang={model.language} data-modules={modules}>
        <RatingSummary model={model} />
      </div>
    )
  const content = <Content model={model} empty={empty} />
  return (
    <section
      className={classes.filter(Boolean).join(' ')}
      lang={model.language}
      aria-label={title || regionName(model)}
      data-modules={modules}
    >
      {isAtEdge(layout.kind) ? <EdgeView model={model}>{content}</EdgeView> : content}
    </section>
  )
}

/** The heading in its order, and the reviews. */
function Content({ model, empty }: { model: DisplayModel; empty: boolean }) {
  const { layout, heading } = model
  return (
    <>
      {heading.order.map((block) => (
        <HeadingBlock key={block} block={block} model={model} />
      ))}
      {heading.byOrigin && showsReviews(layout.kind) && <OriginFilter model={model} />}
      {showsReviews(layout.kind) && !empty && <Reviews model={model} />}
      <Pages model={model} />
    </>
  )
}

function Reviews({ model }: { model: DisplayModel }) {
  if (isTable(model.layout.kind)) return <ReviewTable model={model} />
  const list = (props: { tabIndex?: number; className?: string } = {}) => (
    <ol {...props}>
      <Items model={model} />
    </ol>
  )
  const moving = layoutTraits[model.layout.kind].motion !== 'none'
  return moving ? <Slides model={model}>{list({ tabIndex: 0 })}</Slides> : list()
}

export function Items({ model }: { model: DisplayModel }) {
  return model.quotations.map((quotation) => (
    <li
      key={quotation.publicId}
      data-review={quotation.publicId}
      data-origin={model.heading.byOrigin ? quotation.postedOn || 'own' : undefined}
    >
      <QuotationView quotation={quotation} model={model} />
    </li>
  ))
}
