import {
  alignments,
  LARGEST_TEXT,
  SMALLEST_TEXT,
  textWeights,
  WIDEST_TEXT_SPACE,
  type TextPart,
} from '../../../core/display/choices'
import { textAsInLook, textDiffersFromLook, themeBefore } from '../../../core/display/lookChanges'
import type { TextStyle } from '../../../core/display/themeSchema'
import { say } from '../../../core/messages/say/style'
import { ColourChoice } from '../ColourChoice'
import { SelectLine } from '../SelectLine'
import { Slider } from '../Slider'
import { SwitchLine } from '../SwitchLine'
import { BackToLook } from './BackToLook'
import { FontChoice } from './FontChoice'
import type { StyleProps } from './styleProps'

/** The style of one kind of text. */
export function TextStyleFields({ part, ...props }: StyleProps & { part: TextPart }) {
  const { draft, view, change } = props
  const { theme } = draft
  const before = themeBefore(theme, view.ownLooks)
  const style = theme.texts[part] ?? {}
  const set = (changed: TextStyle) =>
    change({ ...draft, theme: { ...theme, texts: { ...theme.texts, [part]: { ...style, ...changed } } } })
  const isSymbols = part === 'symbols'
  const fallback = isSymbols ? view.colours.accent : view.colours.text
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5 border-t border-line pt-2.5">
      <Slider
        label={say('style.size')}
        value={style.size ?? 100}
        words={`${style.size ?? 100}%`}
        min={SMALLEST_TEXT}
        max={LARGEST_TEXT}
        step={5}
        byFactor
        set={(size) => set({ size })}
      />
      <ColourChoice
        label={say('style.colour')}
        value={style.colour ?? ''}
        fallback={fallback}
        set={(colour) => set({ colour: colour || undefined })}
      />
      {!isSymbols && (
        <>
          <FontChoice
            value={style.font ?? theme.font}
            choose={(font) => set({ font: font === theme.font ? undefined : font })}
          />
          <SelectLine
            label={say('style.weight')}
            value={style.weight ? String(style.weight) : ''}
            choices={[
              ['', say('style.normal')],
              ...textWeights.map((weight): [string, string] => [
                String(weight),
                say(`style.weights.w${weight}`),
              ]),
            ]}
            choose={(weight) => set({ weight: textWeights.find((one) => String(one) === weight) })}
          />
        </>
      )}
      <SelectLine
        label={say('style.align')}
        value={style.align ?? ''}
        choices={[
          ['', say('style.normal')],
          ...alignments.map((one): [string, string] => [one, say(`style.alignments.${one}`)]),
        ]}
        choose={(align) => set({ align: alignments.find((one) => one === align) })}
      />
      <Slider
        label={say('style.above')}
        value={style.above ?? 0}
        words={style.above === undefined ? say('style.normal') : `${style.above} px`}
        min={0}
        max={WIDEST_TEXT_SPACE}
        set={(above) => set({ above })}
      />
      {!isSymbols && (
        <>
          <SwitchLine
            words={say('style.italic')}
            on={style.italic ?? false}
            set={(on) => set({ italic: on || undefined })}
          />
          <SwitchLine
            words={say('style.capitals')}
            on={style.capitals ?? false}
            set={(on) => set({ capitals: on || undefined })}
          />
        </>
      )}
      <BackToLook
        goBack={
          textDiffersFromLook(theme, before, part)
            ? () => change({ ...draft, theme: textAsInLook(theme, before, part) })
            : null
        }
      />
    </div>
  )
}
