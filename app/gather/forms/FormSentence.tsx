import type { ProductChoices } from '../../../server/collection/productChoices'
import { askedQuestions } from '../../../core/form/askedQuestions'
import type { FormDesign } from '../../../core/form/design'
import { couponOf } from '../../../core/form/coupon'
import { dateFormat } from '../../../core/formats/dates'
import { say } from '../../../core/messages/say/forms'
import type { FormSettings } from '../../../server/data/forms'
import type { FormPart } from './formParts'

/** What the form is, in one sentence; each part leads to its settings. */
export function FormSentence({
  draft,
  settings,
  products,
  choose,
}: {
  draft: FormDesign
  settings: FormSettings
  products: ProductChoices
  choose: (part: FormPart) => void
}) {
  const { product, photos, thanks } = draft
  const questions = askedQuestions(draft)
  const link = thanks.link.words.trim() && thanks.link.url ? thanks.link.words.trim() : ''
  const parts: Record<string, { part: FormPart; words: string }> = {
    writers: { part: 'writers', words: say(`forms.writers.${settings.writers}`) },
    product: {
      part: 'product',
      words:
        product.fixed !== ''
          ? (products.products.find(({ sku }) => sku === product.fixed)?.title ?? product.fixed)
          : say(`forms.about.${!product.shown ? 'shop' : product.required ? 'required' : 'any'}`),
    },
    photos: { part: 'photos', words: photos.most > 0 ? say('forms.photos', { count: photos.most }) : '' },
    questions: {
      part: `question:${questions[0]?.id ?? ''}`,
      words: questions.length > 0 ? say('forms.asked', { count: questions.length }) : '',
    },
    until: {
      part: 'writers',
      words:
        settings.lastDay === ''
          ? ''
          : dateFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(settings.lastDay)),
    },
    arrivals: { part: 'arrivals', words: say(`forms.arrives.${settings.arrivesAs}`) },
    tag: { part: 'arrivals', words: settings.tag },
    coupon: { part: 'coupon', words: couponOf(draft) === '' ? '' : say('forms.withCoupon') },
    thanks: {
      part: 'thanks',
      words: link ? say('forms.thankedLink', { words: link }) : say('forms.thanked'),
    },
  }
  const pieces = say('forms.sentence')
    // An unset part in braces is removed with the words before it.
    .replace(/\{([^[}]*)\[(\w+)\]\}/g, (_, lead: string, name: string) =>
      parts[name]!.words ? `${lead}[${name}]` : '',
    )
    .split(/\[(\w+)\]/)
  return (
    <p className="mt-0.5 text-[19px] leading-[1.58]" data-sentence>
      {pieces.map((piece, i) =>
        i % 2 === 0 ? (
          <span key={i}>{piece}</span>
        ) : (
          <button key={i} type="button" className="part" onClick={() => choose(parts[piece]!.part)}>
            {parts[piece]!.words}
          </button>
        ),
      )}
    </p>
  )
}
