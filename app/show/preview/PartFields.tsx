import {
  dateForms,
  DISPLAY_LINE_LIMIT,
  DISPLAY_TITLE_LIMIT,
  glyphs,
  nameForms,
  originForms,
  ratingForms,
} from '../../../core/display/choices'
import { say } from '../../../core/messages/say/show'
import { DatePattern } from '../DatePattern'
import { Choices } from '../Choices'
import { Slider } from '../Slider'
import { changing } from '../strips/stripProps'
import { TitleStrip } from '../strips/TitleStrip'
import { ButtonFields } from '../style/ButtonFields'
import { CardFields } from '../style/CardFields'
import type { StyleProps } from '../style/styleProps'
import { SwitchLine } from '../SwitchLine'
import { switchedPartOf, type PreviewPart } from './previewParts'

/** What of a clicked part is shown. */
export function PartFields({ part, ...given }: StyleProps & { part: PreviewPart }) {
  const { draft, view } = given
  const set = changing(given, 'parts')
  if (part === 'card') return <CardFields {...given} />
  if (part === 'button') return <ButtonFields {...given} />
  if (part === 'links') return null
  if (part === 'title')
    return (
      <input
        className="input h-9 w-full border-edge text-[15px] text-ink"
        aria-label={say('show.titleLabel')}
        maxLength={DISPLAY_TITLE_LIMIT}
        placeholder={say('show.titlePlaceholder')}
        value={draft.title}
        onChange={(event) => given.change({ ...draft, title: event.currentTarget.value })}
      />
    )
  if (part === 'line')
    return (
      <input
        className="input h-9 w-full border-edge text-[15px] text-ink"
        aria-label={say('show.lineLabel')}
        maxLength={DISPLAY_LINE_LIMIT}
        value={draft.heading.line}
        onChange={(event) => changing(given, 'heading')({ line: event.currentTarget.value })}
      />
    )
  if (part === 'summary') return <TitleStrip {...given} setOpen={() => undefined} />
  if (part === 'own') return <p className="text-soft">{say('show.ownAlways')}</p>
  if (part === 'name')
    return (
      <>
        <Choices
          name="nameForm"
          label={say('display.part.name')}
          value={draft.parts.name}
          choices={nameForms.map((form) => ({ value: form, words: say(`display.nameForm.${form}`) }))}
          choose={(name) => set({ name })}
        />
        {draft.parts.name === 'hidden' && <p className="text-ochre">{say('show.nameless')}</p>}
      </>
    )
  if (part === 'rating')
    return (
      <>
        <Choices
          name="ratingForm"
          label={say('display.part.rating')}
          value={draft.parts.rating}
          choices={ratingForms.map((form) => ({ value: form, words: say(`show.ratingForm.${form}`) }))}
          choose={(rating) => set({ rating })}
        />
        <Choices
          name="glyph"
          label={say('show.glyph')}
          value={draft.parts.glyph}
          choices={glyphs.map((glyph) => ({ value: glyph, words: say(`display.glyph.${glyph}`) }))}
          choose={(glyph) => set({ glyph })}
        />
      </>
    )
  if (part === 'origin')
    return (
      <Choices
        name="originForm"
        label={say('display.part.origin')}
        value={draft.parts.origin}
        choices={originForms.map((form) => ({ value: form, words: say(`display.originForm.${form}`) }))}
        choose={(origin) => set({ origin })}
      />
    )
  if (part === 'date') return <Dates view={view} draft={draft} set={set} />
  const name = switchedPartOf(part)!
  return (
    <>
      <SwitchLine
        words={say('show.shown', { what: say(`display.reviewPart.${name}`) })}
        on={draft.parts[name]}
        set={(on) => set({ [name]: on })}
      />
      {part === 'words' && (
        <Slider
          label={say('show.shortenAfter')}
          value={draft.parts.shortened}
          words={
            draft.parts.shortened === 0
              ? say('show.inFull')
              : say('show.words', { count: draft.parts.shortened })
          }
          min={0}
          max={120}
          step={5}
          set={(shortened) => set({ shortened })}
        />
      )}
    </>
  )
}

function Dates({
  view,
  draft,
  set,
}: Pick<StyleProps, 'view' | 'draft'> & { set: ReturnType<typeof changing<'parts'>> }) {
  return (
    <>
      <Choices
        name="dateForm"
        label={say('display.part.date')}
        value={draft.parts.date}
        choices={dateForms.map((form) => ({ value: form, words: say(`display.dateForm.${form}`) }))}
        choose={(date) => set({ date })}
      />
      {draft.parts.date === 'pattern' && (
        <DatePattern value={draft.parts.datePattern} set={(datePattern) => set({ datePattern })} />
      )}
      {draft.parts.date !== 'hidden' && view.undated > 0 && (
        <p className="text-ochre">
          {say('show.undated', { count: view.undated, all: view.picked.length })}{' '}
          <button type="button" className="part" onClick={() => set({ date: 'hidden' })}>
            {say('show.hideAll')}
          </button>
        </p>
      )}
    </>
  )
}
