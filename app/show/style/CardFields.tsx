import {
  cardArrangements,
  cardFills,
  cardShadows,
  frames,
  lineKinds,
  quoteMarks,
  ROUNDEST,
  THICKEST_LINE,
} from '../../../core/display/choices'
import type { Card } from '../../../core/display/themeSchema'
import { say } from '../../../core/messages/say/style'
import { ColourChoice } from '../ColourChoice'
import { SelectLine } from '../SelectLine'
import { Slider } from '../Slider'
import { BackToLook } from './BackToLook'
import { groupOf, type StyleProps } from './styleProps'

/** In pixels; the schema allows more. */
const WIDEST_PADDING = 48

/** The surface of each review: line, background, corners, shadow and arrangement. */
export function CardFields(props: StyleProps) {
  const { theme, set, goBack } = groupOf(props, 'cards')
  const { card, frame } = theme
  const setCard = (changed: Partial<Card>) => set({ card: { ...card, ...changed } })
  const isSurface = card.fill !== 'none' || frame === 'box' || card.shadow !== 'none'
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1.5">
      <SelectLine
        label={say('style.arrangement')}
        value={card.arrangement}
        choices={cardArrangements.map((one) => [one, say(`style.arrangements.${one}`)])}
        choose={(arrangement) => setCard({ arrangement })}
      />
      <SelectLine
        label={say('style.line')}
        value={frame}
        choices={frames.map((one) => [one, say(`display.frame.${one}`)])}
        choose={(chosen) => set({ frame: chosen })}
      />
      {frame !== 'none' && (
        <>
          <Slider
            label={say('style.lineWidth')}
            value={card.lineWidth ?? 2}
            words={card.lineWidth === null ? say('style.normal') : `${card.lineWidth} px`}
            min={0}
            max={THICKEST_LINE}
            set={(lineWidth) => setCard({ lineWidth })}
          />
          <SelectLine
            label={say('style.lineKind')}
            value={card.lineKind}
            choices={lineKinds.map((one) => [one, say(`style.lineKinds.${one}`)])}
            choose={(lineKind) => setCard({ lineKind })}
          />
          <ColourChoice
            label={say('style.lineColour')}
            value={card.lineColour}
            fallback={props.view.colours.text}
            set={(lineColour) => setCard({ lineColour })}
          />
        </>
      )}
      <SelectLine
        label={say('style.fill')}
        value={card.fill}
        choices={cardFills.map((one) => [one, say(`style.fills.${one}`)])}
        choose={(fill) => setCard({ fill })}
      />
      {card.fill === 'colour' && (
        <ColourChoice
          label={say('style.cardColour')}
          value={card.colour}
          fallback={props.view.site.brand}
          set={(colour) => setCard({ colour })}
        />
      )}
      {isSurface && (
        <>
          <Slider
            label={say('show.corners')}
            value={card.corners ?? theme.corners ?? props.view.site.corners}
            words={card.corners === null ? say('style.normal') : `${card.corners} px`}
            min={0}
            max={ROUNDEST}
            set={(corners) => setCard({ corners })}
          />
          <Slider
            label={say('show.inside')}
            value={card.padding ?? 18}
            words={card.padding === null ? say('style.normal') : `${card.padding} px`}
            min={0}
            max={WIDEST_PADDING}
            step={2}
            set={(padding) => setCard({ padding })}
          />
        </>
      )}
      <SelectLine
        label={say('style.shadow')}
        value={card.shadow}
        choices={cardShadows.map((one) => [one, say(`style.shadows.${one}`)])}
        choose={(shadow) => setCard({ shadow })}
      />
      <SelectLine
        label={say('style.quoteMark')}
        value={card.quoteMark}
        choices={quoteMarks.map((one) => [one, say(`style.quoteMarks.${one}`)])}
        choose={(quoteMark) => setCard({ quoteMark })}
      />
      <BackToLook goBack={goBack} />
    </div>
  )
}
