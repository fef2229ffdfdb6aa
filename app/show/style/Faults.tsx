import { say } from '../../../core/messages/say/style'
import { changing } from '../strips/stripProps'
import type { StyleProps } from './styleProps'

/** Colours with too little contrast, each with a fix. */
export function Faults(props: StyleProps) {
  const { draft, view } = props
  const set = changing(props, 'theme')
  const { theme } = draft
  return (
    <div role="status">
      {view.faults.map(({ what, ratio, needed, legible }) => {
        const isText = what !== 'text' && what !== 'accent'
        const mendable = what !== 'text' || theme.background === 'colour'
        const values = { ratio: ratio.toFixed(1), needed }
        const mend = () => {
          if (what === 'accent') set({ accent: legible })
          else if (what === 'text') set({ text: legible })
          else set({ texts: { ...theme.texts, [what]: { ...theme.texts[what], colour: legible } } })
        }
        return (
          <p key={what} className="flex flex-wrap items-center gap-x-3 font-semibold text-ochre">
            {isText
              ? say('style.fault', { ...values, what: say(`display.textPart.${what}`) })
              : say(`show.fault.${what}`, values)}
            {mendable ? (
              <button type="button" className="part" onClick={mend}>
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
