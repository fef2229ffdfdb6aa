import { lazy, Suspense, type ComponentProps } from 'react'
import {
  CONSENT_LIMIT,
  COUPON_LIMIT,
  FORM_HEADING_LIMIT,
  FORM_TEXT_LIMIT,
  MOST_CORNERS,
  QUESTION_LIMIT,
} from '../../../core/form/choices'
import type { FormDesign } from '../../../core/form/design'
import { say } from '../../../core/messages/say/forms'
import { Slider } from '../../show/Slider'
import { SwitchLine } from '../../show/SwitchLine'
import { FormPicture } from './FormPicture'
import type { PanelProps } from './formParts'
import { TextLine } from './TextLine'

// An editor is large, so it comes when it is used.
const RichTextField = lazy(() => import('./RichTextField'))

type Settings = PanelProps & {
  set: <K extends keyof FormDesign>(key: K, value: FormDesign[K]) => void
}

/** The settings of what surrounds the fields of a form, and of the page after it. */
export default function PageSettings(given: PanelProps) {
  const { part, draft, change } = given
  const Chosen = settings[part as keyof typeof settings]
  return Chosen ? <Chosen {...given} set={(key, value) => change({ ...draft, [key]: value })} /> : null
}

/** A part that is one text. */
const textOf = (
  key: 'heading' | 'button' | 'closed',
  line: Omit<ComponentProps<typeof TextLine>, 'value' | 'set'>,
) =>
  function OneText({ draft, set }: Settings) {
    return <TextLine {...line} value={draft[key]} set={(text) => set(key, text)} />
  }

const settings = {
  picture: Picture,
  heading: textOf('heading', {
    label: say('forms.wording'),
    limit: FORM_HEADING_LIMIT,
    placeholder: say('form.heading'),
  }),
  intro: Intro,
  button: textOf('button', { label: say('forms.wording'), limit: 60, placeholder: say('form.send') }),
  consent: Consent,
  coupon: Coupon,
  closed: textOf('closed', { label: say('forms.part.closed'), limit: FORM_TEXT_LIMIT, rows: 4 }),
  colour: Colours,
  thanks: Thanks,
}

function Picture({ draft, set }: Settings) {
  return (
    <>
      <SwitchLine words={say('forms.logo')} on={draft.logo} set={(logo) => set('logo', logo)} />
      <FormPicture picture={draft.picture} set={(picture) => set('picture', picture)} />
      {draft.picture.name && (
        <TextLine
          label={say('forms.pictureAlt')}
          value={draft.picture.alt}
          limit={QUESTION_LIMIT}
          set={(alt) => set('picture', { ...draft.picture, alt })}
        />
      )}
    </>
  )
}

function Intro({ draft, set }: Settings) {
  return (
    <Suspense fallback={<p className="min-h-32" />}>
      <RichTextField
        label={say('forms.part.intro')}
        value={draft.intro}
        limit={FORM_TEXT_LIMIT}
        set={(intro) => set('intro', intro)}
      />
    </Suspense>
  )
}

function Consent({ draft, set }: Settings) {
  return (
    <>
      <TextLine
        label={say('forms.wording')}
        value={draft.consent.label}
        limit={CONSENT_LIMIT}
        rows={3}
        placeholder={say('forms.usualConsent')}
        set={(label) => set('consent', { label })}
      />
      <p className="text-[13px] text-soft">{say('forms.consentHint')}</p>
    </>
  )
}

function Coupon({ draft, set }: Settings) {
  return (
    <>
      <TextLine
        label={say('forms.couponText')}
        value={draft.coupon.text}
        limit={COUPON_LIMIT}
        rows={2}
        set={(text) => set('coupon', { ...draft.coupon, text })}
      />
      <SwitchLine
        words={say('forms.couponAnnounced')}
        on={draft.coupon.announced}
        set={(announced) => set('coupon', { ...draft.coupon, announced })}
      />
      <p className="text-[13px] text-soft">
        {say(draft.coupon.announced ? 'forms.couponMarked' : 'forms.couponSurprise')}
      </p>
    </>
  )
}

function Colours({ draft, set, shopColour }: Settings) {
  return (
    <>
      <SwitchLine
        words={say('forms.ownColour')}
        on={draft.colour !== ''}
        set={(own) => set('colour', own ? shopColour : '')}
      />
      {draft.colour && (
        <ColourLine
          label={say('forms.part.colour')}
          value={draft.colour}
          set={(colour) => set('colour', colour)}
        />
      )}
      <p className="text-[13px] text-soft">{say('forms.readable')}</p>
      <SwitchLine
        words={say('forms.ownBackground')}
        on={draft.background !== ''}
        set={(own) => set('background', own ? '#f1ece2' : '')}
      />
      {draft.background && (
        <ColourLine
          label={say('forms.background')}
          value={draft.background}
          set={(background) => set('background', background)}
        />
      )}
      <Slider
        label={say('forms.corners')}
        value={draft.corners}
        words={`${draft.corners} px`}
        min={0}
        max={MOST_CORNERS}
        set={(corners) => set('corners', corners)}
      />
    </>
  )
}

function Thanks({ draft, set }: Settings) {
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
      {draft.thanks.link.url && (
        <Slider
          label={say('forms.linkAfter')}
          value={draft.thanks.link.after}
          words={
            draft.thanks.link.after === 0
              ? say('forms.linkNever')
              : say('forms.linkSeconds', { count: draft.thanks.link.after })
          }
          min={0}
          max={30}
          set={(after) => set('thanks', { ...draft.thanks, link: { ...draft.thanks.link, after } })}
        />
      )}
      <SwitchLine
        words={say('forms.passOn')}
        on={draft.thanks.passOn}
        set={(passOn) => set('thanks', { ...draft.thanks, passOn })}
      />
      {draft.thanks.passOn && (
        <TextLine
          label={say('forms.passOnUrl')}
          value={draft.thanks.passOnUrl}
          limit={2000}
          type="url"
          set={(passOnUrl) => set('thanks', { ...draft.thanks, passOnUrl })}
        />
      )}
    </>
  )
}

function ColourLine({ label, value, set }: { label: string; value: string; set: (colour: string) => void }) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <input
        type="color"
        value={value}
        onChange={(event) => set(event.currentTarget.value)}
        className="h-9 w-16 cursor-pointer rounded-lg border border-edge"
      />
    </label>
  )
}
