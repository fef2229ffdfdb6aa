import { backgrounds } from '../../../core/display/choices'
import { paletteOf } from '../../../core/display/palette'
import { say } from '../../../core/messages/say/style'
import { Choices } from '../Choices'
import { ColourChoice } from '../ColourChoice'
import { BackToLook } from './BackToLook'
import { groupOf, type StyleProps } from './styleProps'

/** The steps of the brand colour; each sets the background if that is a colour, otherwise the accent. */
function Palette({
  label,
  colours,
  chosen,
  choose,
}: {
  label: string
  colours: string[]
  chosen: string
  choose: (colour: string) => void
}) {
  return (
    <span role="group" aria-label={label} className="flex items-center gap-1 text-[13px] text-soft">
      {label}
      {colours.map((colour) => (
        <button
          key={colour}
          type="button"
          aria-label={colour}
          aria-pressed={chosen === colour}
          className="size-6 rounded-md border border-edge aria-pressed:ring-2 aria-pressed:ring-petrol aria-pressed:ring-offset-1"
          style={{ background: colour }}
          onClick={() => choose(colour)}
        />
      ))}
    </span>
  )
}

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
      <Palette
        label={say('style.palette')}
        colours={paletteOf(site.brand)}
        chosen={theme.background === 'colour' ? theme.colour : theme.accent}
        choose={(colour) => set(theme.background === 'colour' ? { colour, text: '' } : { accent: colour })}
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
