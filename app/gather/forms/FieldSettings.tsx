import { FORM_LABEL_LIMIT } from '../../../core/form/choices'
import type { FormDesign } from '../../../core/form/design'
import { BODY_LIMIT, TITLE_LIMIT } from '../../../core/intake/limits'
import { MOST_PHOTOS } from '../../../core/intake/photos'
import { say } from '../../../core/messages/say/forms'
import { ProductSelect } from '../../components/ProductSelect'
import { Slider } from '../../show/Slider'
import { SwitchLine } from '../../show/SwitchLine'
import type { PanelProps } from './formParts'
import { TextLine } from './TextLine'

/** The words that customers read unless the form has its own. */
const usual = {
  rating: 'form.rating',
  product: 'form.product',
  orderNumber: 'form.orderNumber',
  title: 'form.title',
  body: 'form.words',
  name: 'form.name',
  email: 'form.email',
} as const

/** The settings of a field that customers fill in. */
export function FieldSettings({ part, draft, change, products }: PanelProps) {
  const set = <K extends keyof FormDesign>(key: K, value: FormDesign[K]) => change({ ...draft, [key]: value })
  const wording = (key: 'rating' | 'product' | 'orderNumber' | 'title' | 'body' | 'name' | 'email') => (
    <TextLine
      label={say('forms.wording')}
      value={draft[key].label}
      limit={FORM_LABEL_LIMIT}
      placeholder={say(usual[key])}
      set={(label) => change({ ...draft, [key]: { ...draft[key], label } })}
    />
  )
  switch (part) {
    case 'rating':
    case 'name':
    case 'email':
      return (
        <>
          {wording(part)}
          <p className="text-[13px] text-soft">{say('forms.always')}</p>
        </>
      )
    case 'product':
      return (
        <>
          <label className="flex items-baseline gap-1.5 text-[13px] text-soft">
            {say('forms.cardAbout')}
            <ProductSelect
              choices={products}
              value={draft.product.fixed}
              none={say('forms.anyProduct')}
              choose={(fixed) => set('product', { ...draft.product, fixed })}
              className="select-sm w-auto text-ink"
            />
          </label>
          {draft.product.fixed === '' && (
            <SwitchLine
              words={say('forms.shown')}
              on={draft.product.shown}
              set={(shown) => set('product', { ...draft.product, shown })}
            />
          )}
          {draft.product.shown && draft.product.fixed === '' && (
            <>
              <SwitchLine
                words={say('forms.required')}
                on={draft.product.required}
                set={(required) => set('product', { ...draft.product, required })}
              />
              {wording('product')}
            </>
          )}
        </>
      )
    case 'orderNumber':
      return (
        <>
          <SwitchLine
            words={say('forms.shown')}
            on={draft.orderNumber.shown}
            set={(shown) => set('orderNumber', { ...draft.orderNumber, shown })}
          />
          {draft.orderNumber.shown && wording('orderNumber')}
        </>
      )
    case 'title':
      return (
        <>
          <SwitchLine
            words={say('forms.shown')}
            on={draft.title.shown}
            set={(shown) => set('title', { ...draft.title, shown })}
          />
          {draft.title.shown && (
            <>
              {wording('title')}
              <Slider
                label={say('forms.most')}
                value={draft.title.most}
                words={say('forms.characters', { count: draft.title.most })}
                min={10}
                max={TITLE_LIMIT}
                step={10}
                set={(most) => set('title', { ...draft.title, most })}
              />
            </>
          )}
        </>
      )
    case 'body':
      return (
        <>
          {wording('body')}
          <SwitchLine
            words={say('forms.required')}
            on={draft.body.required}
            set={(required) => set('body', { ...draft.body, required })}
          />
          <Slider
            label={say('forms.least')}
            value={draft.body.least}
            words={
              draft.body.least === 0
                ? say('forms.noLeast')
                : say('forms.characters', { count: draft.body.least })
            }
            min={0}
            max={Math.min(500, draft.body.most)}
            step={10}
            set={(least) => set('body', { ...draft.body, least })}
          />
          <Slider
            label={say('forms.most')}
            value={draft.body.most}
            words={say('forms.characters', { count: draft.body.most })}
            min={Math.max(100, draft.body.least)}
            max={BODY_LIMIT}
            step={100}
            set={(most) => set('body', { ...draft.body, most })}
          />
        </>
      )
    case 'photos':
      return (
        <>
          <Slider
            label={say('forms.mostPhotos')}
            value={draft.photos.most}
            words={draft.photos.most === 0 ? say('forms.none') : String(draft.photos.most)}
            min={0}
            max={MOST_PHOTOS}
            set={(most) => set('photos', { most })}
          />
          <SwitchLine
            words={say('forms.video')}
            on={draft.video.shown}
            set={(shown) => set('video', { shown })}
          />
          <p className="text-[13px] text-soft">{say('forms.videoHint')}</p>
        </>
      )
    default:
      return null
  }
}
