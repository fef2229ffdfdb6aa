import { arrowForms, buttonForms, dotForms, ROUNDEST } from '../../../core/display/choices'
import { layoutTraits } from '../../../core/display/layoutTraits'
import { say } from '../../../core/messages/say/style'
import { SelectLine } from '../SelectLine'
import { Slider } from '../Slider'
import { BackToLook } from './BackToLook'
import { groupOf, type StyleProps } from './styleProps'

export function ButtonFields(props: StyleProps) {
  const { theme, set, goBack } = groupOf(props, 'buttons')
  const { buttons, controls } = theme
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1.5">
      <SelectLine
        label={say('style.buttonForm')}
        value={buttons.form}
        choices={buttonForms.map((one) => [one, say(`style.buttonForms.${one}`)])}
        choose={(form) => set({ buttons: { ...buttons, form } })}
      />
      {buttons.form !== 'text' && (
        <Slider
          label={say('show.corners')}
          value={buttons.corners ?? theme.corners ?? props.view.site.corners}
          words={buttons.corners === null ? say('style.normal') : `${buttons.corners} px`}
          min={0}
          max={ROUNDEST}
          set={(corners) => set({ buttons: { ...buttons, corners } })}
        />
      )}
      {layoutTraits[props.draft.layout.kind].motion !== 'none' && (
        <>
          <SelectLine
            label={say('show.arrows')}
            value={controls.arrows}
            choices={arrowForms.map((one) => [one, say(`style.arrowForms.${one}`)])}
            choose={(arrows) => set({ controls: { ...controls, arrows } })}
          />
          <SelectLine
            label={say('show.dots')}
            value={controls.dots}
            choices={dotForms.map((one) => [one, say(`style.dotForms.${one}`)])}
            choose={(dots) => set({ controls: { ...controls, dots } })}
          />
        </>
      )}
      <BackToLook goBack={goBack} />
    </div>
  )
}
