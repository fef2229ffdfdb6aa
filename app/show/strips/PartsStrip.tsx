import { dateForms, glyphs, nameForms, originForms, ratingForms } from '../../../core/display/choices'
import { switchedParts } from '../../../core/display/reviewParts'
import { say } from '../../../core/messages/say/show'
import { DatePattern } from '../DatePattern'
import { SelectLine } from '../SelectLine'
import { Slider } from '../Slider'
import { SwitchLine } from '../SwitchLine'
import { changing, type StripProps } from './stripProps'

/** All parts of a review in one place, for people who don't click in the preview. */
export function PartsStrip(props: StripProps) {
  const { parts } = props.draft
  const set = changing(props, 'parts')
  return (
    <div className="flex flex-col gap-2.5">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <SelectLine
          label={say('display.part.name')}
          value={parts.name}
          choices={nameForms.map((form) => [form, say(`display.nameForm.${form}`)])}
          choose={(name) => set({ name })}
        />
        <SelectLine
          label={say('display.part.rating')}
          value={parts.rating}
          choices={ratingForms.map((form) => [form, say(`show.ratingForm.${form}`)])}
          choose={(rating) => set({ rating })}
        />
        <SelectLine
          label={say('show.glyph')}
          value={parts.glyph}
          choices={glyphs.map((glyph) => [glyph, say(`display.glyph.${glyph}`)])}
          choose={(glyph) => set({ glyph })}
        />
        <SelectLine
          label={say('display.part.date')}
          value={parts.date}
          choices={dateForms.map((form) => [form, say(`display.dateForm.${form}`)])}
          choose={(date) => set({ date })}
        />
        {parts.date === 'pattern' && (
          <DatePattern value={parts.datePattern} set={(datePattern) => set({ datePattern })} />
        )}
        {props.view.listings.length > 0 && (
          <SelectLine
            label={say('display.part.origin')}
            value={parts.origin}
            choices={originForms.map((form) => [form, say(`display.originForm.${form}`)])}
            choose={(origin) => set({ origin })}
          />
        )}
        <Slider
          label={say('show.shortenAfter')}
          value={parts.shortened}
          words={parts.shortened === 0 ? say('show.inFull') : say('show.words', { count: parts.shortened })}
          min={0}
          max={120}
          step={5}
          set={(shortened) => set({ shortened })}
        />
      </div>
      <div className="flex flex-wrap gap-x-5 gap-y-1">
        {switchedParts.map((part) => (
          <SwitchLine
            key={part}
            words={say(`display.reviewPart.${part}`)}
            on={parts[part]}
            set={(on) => set({ [part]: on })}
          />
        ))}
      </div>
    </div>
  )
}
