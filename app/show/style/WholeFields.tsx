import {
  alignments,
  NARROWEST_DISPLAY,
  ROUNDEST,
  sizes,
  WIDEST_DISPLAY,
  WIDEST_SPACE,
} from '../../../core/display/choices'
import { say } from '../../../core/messages/say/style'
import { SelectLine } from '../SelectLine'
import { Slider } from '../Slider'
import { BackToLook } from './BackToLook'
import { FontChoice } from './FontChoice'
import { groupOf, type StyleProps } from './styleProps'

/** Beyond this, the slider means no limit. */
const UNLIMITED = WIDEST_DISPLAY + 20

export function WholeFields(props: StyleProps) {
  const { theme, set, goBack } = groupOf(props, 'whole')
  const pixels = (value: number) => `${value} px`
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1.5">
      <FontChoice value={theme.font} choose={(font) => set({ font })} />
      <SelectLine
        label={say('style.size')}
        value={theme.size}
        choices={sizes.map((one) => [one, say(`style.sizes.${one}`)])}
        choose={(size) => set({ size })}
      />
      <SelectLine
        label={say('style.align')}
        value={theme.align}
        choices={alignments.map((one) => [one, say(`style.alignments.${one}`)])}
        choose={(align) => set({ align })}
      />
      <Slider
        label={say('style.maxWidth')}
        value={theme.maxWidth || UNLIMITED}
        words={theme.maxWidth === 0 ? say('style.unlimited') : pixels(theme.maxWidth)}
        min={NARROWEST_DISPLAY}
        max={UNLIMITED}
        step={20}
        set={(width) => set({ maxWidth: width >= UNLIMITED ? 0 : width })}
      />
      <Slider
        label={say('show.density')}
        value={theme.density}
        words={`${theme.density}%`}
        min={40}
        max={200}
        step={10}
        set={(density) => set({ density })}
      />
      <Slider
        label={say('show.corners')}
        value={theme.corners ?? props.view.site.corners}
        words={theme.corners === null ? say('show.asPage') : pixels(theme.corners)}
        min={0}
        max={ROUNDEST}
        set={(corners) => set({ corners })}
      />
      <Slider
        label={say('show.inside')}
        value={theme.inside}
        words={pixels(theme.inside)}
        min={0}
        max={WIDEST_SPACE}
        step={4}
        set={(inside) => set({ inside })}
      />
      <Slider
        label={say('show.around')}
        value={theme.around}
        words={pixels(theme.around)}
        min={0}
        max={WIDEST_SPACE}
        step={4}
        set={(around) => set({ around })}
      />
      <BackToLook goBack={goBack} />
    </div>
  )
}
