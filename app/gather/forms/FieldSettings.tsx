import { FORM_LABEL_LIMIT } from '../../../core/form/choices'
import { lengthBounds, type FormField } from '../../../core/form/fields'
import { neededFields } from '../../../core/form/neededFields'
import type { FormDesign } from '../../../core/form/design'
import { MOST_PHOTOS } from '../../../core/intake/photos'
import { say } from '../../../core/messages/say/forms'
import { ProductSelect } from '../../components/ProductSelect'
import { Slider } from '../../show/Slider'
import { SwitchLine } from '../../show/SwitchLine'
import type { PanelProps, PartProps } from './formParts'
import { TextLine } from './TextLine'

/** The settings of a field that customers fill in: those that its part of the design has. */
export function FieldSettings({ part, draft, change, products, writers }: PanelProps & { part: FormField }) {
  if (part === 'photos') return <MediaSettings {...{ draft, change }} />
  const field: Record<string, unknown> = draft[part]
  const set = (changed: object) => change({ ...draft, [part]: { ...field, ...changed } })
  const isFixed = part === 'product' && draft.product.fixed !== ''
  const isNeeded = neededFields(writers).some((needed) => needed === part)
  const canBeLeftOut = 'shown' in field && !isFixed && !isNeeded
  const isAsked = !isFixed && (isNeeded || field.shown !== false)
  return (
    <>
      {part === 'product' && (
        <label className="flex items-baseline gap-1.5 text-[13px] text-soft">
          {say('forms.cardAbout')}
          <ProductSelect
            choices={products}
            value={draft.product.fixed}
            none={say('forms.anyProduct')}
            choose={(fixed) => set({ fixed })}
            className="select-sm w-auto text-ink"
          />
        </label>
      )}
      {canBeLeftOut && <SwitchLine words={say('forms.shown')} on={isAsked} set={(shown) => set({ shown })} />}
      {isAsked && (
        <>
          <TextLine
            label={say('forms.wording')}
            value={draft[part].label}
            limit={FORM_LABEL_LIMIT}
            placeholder={say(`form.${part}`)}
            set={(label) => set({ label })}
          />
          {'required' in field && !isNeeded && (
            <SwitchLine
              words={say('forms.required')}
              on={field.required === true}
              set={(required) => set({ required })}
            />
          )}
          {(part === 'title' || part === 'body') && <Lengths part={part} draft={draft} set={set} />}
        </>
      )}
      {isNeeded && (
        <p className="text-[13px] text-soft">
          {say(writers === 'buyers' ? 'forms.neededOfBuyers' : 'forms.neededToConfirm')}
        </p>
      )}
      {part === 'email' && !isNeeded && !(draft.email.shown && draft.email.required) && (
        <p className="text-[13px] text-ochre">{say('forms.withoutEmail')}</p>
      )}
      {part === 'rating' && !(draft.rating.shown && draft.rating.required) && (
        <p className="text-[13px] text-soft">{say('forms.withoutRating')}</p>
      )}
    </>
  )
}

/** How long a text has to be, and may be. */
function Lengths({
  part,
  draft,
  set,
}: {
  part: keyof typeof lengthBounds
  draft: FormDesign
  set: (changed: object) => void
}) {
  const chosen: { least?: number; most: number } = draft[part]
  const bounds: { least?: Bounds; most: Bounds } = lengthBounds[part]
  const characters = (count: number) => say('forms.characters', { count })
  return (
    <>
      {bounds.least && chosen.least !== undefined && (
        <Slider
          label={say('forms.least')}
          value={chosen.least}
          words={chosen.least === 0 ? say('forms.noLeast') : characters(chosen.least)}
          {...bounds.least}
          max={Math.min(bounds.least.max, chosen.most)}
          set={(least) => set({ least })}
        />
      )}
      <Slider
        label={say('forms.most')}
        value={chosen.most}
        words={characters(chosen.most)}
        {...bounds.most}
        min={Math.max(bounds.most.min, chosen.least ?? 0)}
        set={(most) => set({ most })}
      />
    </>
  )
}
type Bounds = (typeof lengthBounds)['body']['least'] | (typeof lengthBounds)['title' | 'body']['most']

function MediaSettings({ draft, change }: Pick<PartProps, 'draft' | 'change'>) {
  return (
    <>
      <Slider
        label={say('forms.mostPhotos')}
        value={draft.photos.most}
        words={draft.photos.most === 0 ? say('forms.none') : String(draft.photos.most)}
        min={0}
        max={MOST_PHOTOS}
        set={(most) => change({ ...draft, photos: { most } })}
      />
      <SwitchLine
        words={say('forms.video')}
        on={draft.video.shown}
        set={(shown) => change({ ...draft, video: { shown } })}
      />
      <p className="text-[13px] text-soft">{say('forms.videoHint')}</p>
    </>
  )
}
