import { frames, backgrounds, ROUNDEST, WIDEST_SPACE } from '../../../core/display/choices'

import { startingConfiguration } from '../../../core/display/startingConfiguration'
import { say } from '../../../core/messages/say/show'
import { Choices } from '../Choices'
import { ColourChoice } from '../ColourChoice'
import { Slider } from '../Slider'
import { changing, type StripProps } from './stripProps'

export function ThemeStrip(props: StripProps) {
  const { draft, view } = props
  const { theme } = draft
  const { site } = view
  const set = changing(props, 'theme')
  const { backgrounds: swatches, text, accent } = view.colours
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
      <Choices
        name="background"
        label={say('display.part.theme')}
        value={theme.background}
        choices={backgrounds.map((background) => ({
          value: background,
          words: say(`show.background.${background}`),
          picture: (
            <span
              className="block h-7 w-16 rounded-md border border-line"
              style={{ background: swatches[background] }}
            />
          ),
        }))}
        choose={(background) =>
          set({ background, ...(background === 'colour' && !theme.colour && { colour: site.brand }) })
        }
      />
      <div className="flex flex-col gap-1.5">
        <Choices
          name="frame"
          label={say('display.part.frame')}
          value={theme.frame}
          tight
          choices={frames.map((frame) => ({ value: frame, words: say(`display.frame.${frame}`) }))}
          choose={(frame) => set({ frame })}
        />
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          <ColourChoice
            label={say('show.accent')}
            value={theme.accent}
            fallback={accent}
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
                fallback={text}
                set={(chosen) => set({ text: chosen })}
              />
            </>
          )}
        </div>
      </div>
      <div className="flex max-h-20 flex-col flex-wrap justify-center gap-x-6">
        <Slider
          label={say('show.corners')}
          value={theme.corners ?? site.corners}
          words={theme.corners === null ? say('show.asPage') : `${theme.corners} px`}
          min={0}
          max={ROUNDEST}
          set={(corners) => set({ corners })}
        />
        <Slider
          label={say('show.inside')}
          value={theme.inside}
          words={`${theme.inside} px`}
          min={0}
          max={WIDEST_SPACE}
          step={4}
          set={(inside) => set({ inside })}
        />
        <Slider
          label={say('show.around')}
          value={theme.around}
          words={`${theme.around} px`}
          min={0}
          max={WIDEST_SPACE}
          step={4}
          set={(around) => set({ around })}
        />
      </div>
      {JSON.stringify(theme) !== JSON.stringify(asThePage) && (
        <button type="button" className="part" onClick={() => set(asThePage)}>
          {say('show.likeThePage')}
        </button>
      )}
      <Faults {...props} />
    </div>
  )
}

const asThePage = startingConfiguration.theme

/** Colours with too little contrast, each with a fix. */
function Faults(props: StripProps) {
  const set = changing(props, 'theme')
  return (
    <div role="status">
      {props.view.faults.map(({ what, ratio, needed, legible }) => {
        const mendable = what === 'accent' || props.draft.theme.background === 'colour'
        return (
          <p key={what} className="flex flex-wrap items-center gap-x-3 font-semibold text-ochre">
            {say(`show.fault.${what}`, { ratio: ratio.toFixed(1), needed })}
            {mendable ? (
              <button
                type="button"
                className="part"
                onClick={() => set(what === 'accent' ? { accent: legible } : { text: legible })}
              >
                {say('show.mend', { colour: legible })}
              </button>
            ) : (
              <span className="font-normal text-soft">{say('show.faultOfPage')}</span>
            )}
          </p>
        )
      })}
    </div>
  )
}
