import { frames, grounds, ROUNDEST, WIDEST_SPACE } from '../../../core/display/choices'

import { startingConfiguration } from '../../../core/display/startingConfiguration'
import { say } from '../../../core/messages/say/show'
import { Choices } from '../Choices'
import { ColourChoice } from '../ColourChoice'
import { Slider } from '../Slider'
import { changing, type StripProps } from './stripProps'

export function DressStrip(props: StripProps) {
  const { draft, view } = props
  const { dress } = draft
  const { site } = view
  const set = changing(props, 'dress')
  const { standing, text, accent } = view.colours
  return (
    <div className="flex flex-col gap-2.5">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <Choices
          name="ground"
          label={say('display.part.dress')}
          value={dress.ground}
          choices={grounds.map((ground) => ({
            value: ground,
            words: say(`show.ground.${ground}`),
            picture: (
              <span
                className="block h-7 w-16 rounded-md border border-line"
                style={{ background: standing[ground] }}
              />
            ),
          }))}
          choose={(ground) =>
            set({ ground, ...(ground === 'colour' && !dress.colour && { colour: site.brand }) })
          }
        />
        {dress.ground === 'colour' && (
          <>
            <ColourChoice
              label={say('show.groundColour')}
              value={dress.colour}
              fallback={site.brand}
              set={(colour) => set({ colour })}
            />
            <ColourChoice
              label={say('show.textColour')}
              value={dress.text}
              fallback={text}
              set={(chosen) => set({ text: chosen })}
            />
          </>
        )}
        <ColourChoice
          label={say('show.accent')}
          value={dress.accent}
          fallback={accent}
          set={(chosen) => set({ accent: chosen })}
        />
      </div>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <Choices
          name="frame"
          label={say('display.part.frame')}
          value={dress.frame}
          choices={frames.map((frame) => ({ value: frame, words: say(`display.frame.${frame}`) }))}
          choose={(frame) => set({ frame })}
        />
        <Slider
          label={say('show.corners')}
          value={dress.corners ?? site.corners}
          words={dress.corners === null ? say('show.asPage') : `${dress.corners} px`}
          min={0}
          max={ROUNDEST}
          set={(corners) => set({ corners })}
        />
        <Slider
          label={say('show.inside')}
          value={dress.inside}
          words={`${dress.inside} px`}
          min={0}
          max={WIDEST_SPACE}
          step={4}
          set={(inside) => set({ inside })}
        />
        <Slider
          label={say('show.around')}
          value={dress.around}
          words={`${dress.around} px`}
          min={0}
          max={WIDEST_SPACE}
          step={4}
          set={(around) => set({ around })}
        />
        {JSON.stringify(dress) !== JSON.stringify(asThePage) && (
          <button type="button" className="part" onClick={() => set(asThePage)}>
            {say('show.likeThePage')}
          </button>
        )}
      </div>
      <Faults {...props} />
    </div>
  )
}

const asThePage = startingConfiguration.dress

/** Pairs of colours that can't be distinguished well enough, each mended by one click. */
function Faults(props: StripProps) {
  const set = changing(props, 'dress')
  return (
    <div role="status">
      {props.view.faults.map(({ what, ratio, needed, mended }) => {
        const mendable = what === 'accent' || props.draft.dress.ground === 'colour'
        return (
          <p key={what} className="flex flex-wrap items-center gap-x-3 font-semibold text-ochre">
            {say(`show.fault.${what}`, { ratio: ratio.toFixed(1), needed })}
            {mendable ? (
              <button
                type="button"
                className="part"
                onClick={() => set(what === 'accent' ? { accent: mended } : { text: mended })}
              >
                {say('show.mend', { colour: mended })}
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
