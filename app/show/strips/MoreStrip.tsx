import { collapsedParts } from '../../../core/display/sentenceParts'
import { partTexts } from '../../../core/messages/display/sentence'
import { showsReviews } from '../../../core/display/layoutTraits'
import { say } from '../../../core/messages/say/narrow'
import { Choices } from '../Choices'
import { SwitchLine } from '../SwitchLine'
import { changing, type StripProps } from './stripProps'

/** Rare settings: unset filters, and what is shown without a match. */
export function MoreStrip(props: StripProps) {
  const { draft, change, setOpen } = props
  const words = partTexts(draft)
  const set = changing(props, 'selection')
  const folded = collapsedParts.filter((part) => words[part] === '')
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {folded.map((part) =>
          part === 'verifiedOnly' || part === 'withWords' || part === 'withPhotos' ? (
            <SwitchLine
              key={part}
              words={say(`narrow.only.${part}`)}
              on={false}
              set={(on) => set({ [part]: on })}
            />
          ) : (
            <button key={part} type="button" className="part" onClick={() => setOpen(part)}>
              {say(`narrow.fold.${part}`)}
            </button>
          ),
        )}
      </div>
      {showsReviews(draft.layout.kind) && (
        <button type="button" className="part" onClick={() => setOpen('parts')}>
          {say('show.parts')}
        </button>
      )}
      <div className="flex items-center gap-2.5">
        <span className="text-[13px] text-soft">{say('show.whenEmpty')}</span>
        <Choices
          name="whenEmpty"
          label={say('show.whenEmpty')}
          value={draft.whenEmpty}
          choices={(['invitation', 'nothing'] as const).map((value) => ({
            value,
            words: say(`display.whenEmpty.${value}`),
          }))}
          choose={(whenEmpty) => change({ ...draft, whenEmpty })}
        />
      </div>
    </div>
  )
}
