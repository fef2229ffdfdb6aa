import { backgrounds } from '../../../core/display/choices'
import { say } from '../../../core/messages/say/style'
import { Choices } from '../Choices'
import { ColourChoice } from '../ColourChoice'
import { BackToLook } from './BackToLook'
import { groupOf, type StyleProps } from './styleProps'

export function ColourFields(props: StyleProps) {
  const { theme, set, goBack } = groupOf(props, 'colours')
  const { site, colours } = props.view
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1.5">
      <Choices
        name="background"
        label={say('display.part.theme')}
        value={theme.background}
        tight
        choices={backgrounds.map((background) => ({
          value: background,
          words: say(`show.background.${background}`),
          picture: (
            <span
              className="block h-5 w-14 rounded-md border border-line"
              style={{ background: colours.backgrounds[background] }}
            />
          ),
        }))}
        choose={(background) =>
          set({ background, ...(background === 'colour' && !theme.colour && { colour: site.brand }) })
        }
      />
      <ColourChoice
        label={say('show.accent')}
        value={theme.accent}
        fallback={colours.accent}
        set={(chosen) => set({ accent: chosen })}
      />
      {theme.background === 'colour' && (
        <>
          <ColourChoice
            label={say('show.backgroundColour')}
            value={theme.colour}
            fallback={site.brand}
            set={(colour) => set({ colour })}
          />
          <ColourChoice
            label={say('show.textColour')}
            value={theme.text}
            fallback={colours.text}
            set={(chosen) => set({ text: chosen })}
          />
        </>
      )}
      <BackToLook goBack={goBack} />
    </div>
  )
}
