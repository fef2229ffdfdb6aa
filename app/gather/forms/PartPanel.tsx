import { ArrowLeft } from 'lucide-react'
import { FORM_HEADING_LIMIT, FORM_LABEL_LIMIT, FORM_TEXT_LIMIT } from '../../../core/form/choices'
import type { FormDesign } from '../../../core/form/design'
import { BODY_LIMIT, TITLE_LIMIT } from '../../../core/intake/limits'
import { MOST_PHOTOS } from '../../../core/intake/photos'
import { say } from '../../../core/messages/say/forms'
import { Slider } from '../../show/Slider'
import { SwitchLine } from '../../show/SwitchLine'
import { TextLine } from './TextLine'
import type { FormPart, PartProps } from './formParts'
import { QuestionPanel } from './QuestionPanel'

/** The words that customers read unless the form has its own. */
const usual = {
  heading: 'form.heading',
  rating: 'form.rating',
  product: 'form.product',
  orderNumber: 'form.orderNumber',
  title: 'form.title',
  body: 'form.words',
  name: 'form.name',
  email: 'form.email',
  button: 'form.send',
} as const

/** The settings of one part of a form. */
export function PartPanel({
  part,
  draft,
  change,
  leave,
  shopColour,
}: PartProps & { part: FormPart; leave: () => void; shopColour: string }) {
  const isQuestion = part.startsWith('question:')
  return (
    <div className="flex flex-col gap-3">
      <button
        type="button"
        className="inline-flex min-h-6 items-center gap-1 self-start text-petrol underline"
        onClick={leave}
      >
        <ArrowLeft className="size-4" aria-hidden="true" />
        {say('forms.allParts')}
      </button>
      {isQuestion ? (
        <QuestionPanel key={part} id={part.slice('question:'.length)} {...{ draft, change, leave }} />
      ) : (
        <>
          <h2>{say(`forms.part.${part as Exclude<FormPart, `question:${string}`>}`)}</h2>
          <Settings {...{ part, draft, change, shopColour }} />
        </>
      )}
    </div>
  )
}

function Settings({ part, draft, change, shopColour }: PartProps & { part: FormPart; shopColour: string }) {
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
    case 'heading':
      return (
        <TextLine
          label={say('forms.wording')}
          value={draft.heading}
          limit={FORM_HEADING_LIMIT}
          placeholder={say(usual.heading)}
          set={(heading) => set('heading', heading)}
        />
      )
    case 'intro':
      return (
        <TextLine
          label={say('forms.part.intro')}
          value={draft.intro}
          limit={FORM_TEXT_LIMIT}
          rows={4}
          set={(intro) => set('intro', intro)}
        />
      )
    case 'button':
      return (
        <TextLine
          label={say('forms.wording')}
          value={draft.button}
          limit={60}
          placeholder={say(usual.button)}
          set={(button) => set('button', button)}
        />
      )
    case 'closed':
      return (
        <TextLine
          label={say('forms.part.closed')}
          value={draft.closed}
          limit={FORM_TEXT_LIMIT}
          rows={4}
          set={(closed) => set('closed', closed)}
        />
      )
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
          <SwitchLine
            words={say('forms.shown')}
            on={draft.product.shown}
            set={(shown) => set('product', { ...draft.product, shown })}
          />
          {draft.product.shown && (
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
        <Slider
          label={say('forms.mostPhotos')}
          value={draft.photos.most}
          words={draft.photos.most === 0 ? say('forms.none') : String(draft.photos.most)}
          min={0}
          max={MOST_PHOTOS}
          set={(most) => set('photos', { most })}
        />
      )
    case 'colour':
      return (
        <>
          <SwitchLine
            words={say('forms.ownColour')}
            on={draft.colour !== ''}
            set={(own) => set('colour', own ? shopColour : '')}
          />
          {draft.colour && (
            <label className="flex items-center gap-2">
              {say('forms.part.colour')}
              <input
                type="color"
                value={draft.colour}
                onChange={(event) => set('colour', event.currentTarget.value)}
                className="h-9 w-16 cursor-pointer rounded-lg border border-edge"
              />
            </label>
          )}
          <p className="text-[13px] text-soft">{say('forms.readable')}</p>
        </>
      )
    case 'thanks':
      return (
        <>
          <TextLine
            label={say('forms.thanksHeading')}
            value={draft.thanks.heading}
            limit={FORM_HEADING_LIMIT}
            placeholder={say('form.thanks.title')}
            set={(heading) => set('thanks', { ...draft.thanks, heading })}
          />
          <TextLine
            label={say('forms.thanksText')}
            value={draft.thanks.text}
            limit={FORM_TEXT_LIMIT}
            rows={4}
            set={(text) => set('thanks', { ...draft.thanks, text })}
          />
          <TextLine
            label={say('forms.linkWords')}
            value={draft.thanks.link.words}
            limit={60}
            set={(words) => set('thanks', { ...draft.thanks, link: { ...draft.thanks.link, words } })}
          />
          <TextLine
            label={say('forms.linkUrl')}
            value={draft.thanks.link.url}
            limit={2000}
            type="url"
            set={(url) => set('thanks', { ...draft.thanks, link: { ...draft.thanks.link, url } })}
          />
        </>
      )
    default:
      return null
  }
}
