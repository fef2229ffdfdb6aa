import { dateInPattern } from '../formats/datePattern'
import { dateFormat, dayIn, spokenMonth } from '../formats/dates'
import { litMarks, oneDecimal } from '../formats/rating'
import { keysOf } from '../formats/keysOf'
import { textsBesideName } from '../intake/writerTexts'
import { answerText } from '../form/answerText'
import type { Answer } from '../intake/answer'
import type { Photo } from '../intake/candidate'
import { sourcePolicies } from '../intake/sourcePolicy'
import type { Parts } from './configuration'
import type { DisplayShop, ShowableReview } from './showableReview'
import { inAverages } from '../curation/facets'
import { excerptOf } from './excerpt'
import { publicName } from './publicName'
import type { Quotation } from './quotation'
import type { CustomerTranslate } from '../messages/customers/customerMessages'

/** Converts a review to what a display shows of it. */
export function toQuotation(
  review: ShowableReview,
  parts: Parts,
  {
    shop,
    mediaUrl,
    now,
    translate,
    locale,
  }: { shop: DisplayShop; mediaUrl: string; now: string; translate: CustomerTranslate; locale: string },
): Quotation {
  const at = (file: string | null) => file && `${mediaUrl}${file}`
  const by = publicName(review.authorName, parts.name)
  const photoOf = ({ name, small, width, height, alt, video }: Photo, i: number) => ({
    large: `${mediaUrl}${name}`,
    small: `${mediaUrl}${small}`,
    width,
    height,
    // Photos without a description need distinct names.
    alt:
      alt ||
      (by
        ? translate(video ? 'visitor.video' : 'visitor.photo', { place: i + 1, name: by })
        : translate(video ? 'visitor.videoOnly' : 'visitor.photoOnly', { place: i + 1 })),
    video: at(video),
  })
  const spoken = { now, timeZone: shop.timeZone, locale }
  const shownRating = review.rating !== null && parts.rating !== 'hidden' ? review.rating : null
  return {
    publicId: review.publicId,
    rating: review.rating,
    inAverages: inAverages(review),
    written: hasDate(review) ? dayIn(shop.timeZone, review.writtenAt) : null,
    marks: shownRating === null || parts.rating === 'numeral' ? null : litMarks(shownRating),
    numeral: shownRating === null || parts.rating === 'glyphs' ? '' : plainNumber(shownRating, locale),
    title: parts.title ? review.title.trim() : '',
    words: excerptOf(parts.words ? paragraphsOf(review.body) : [], parts.shortened),
    name: by,
    answers: shownAnswers(review.answers, shop, locale),
    language: review.language,
    product: parts.product ? review.productTitle : null,
    otherLanguage: parts.language ? otherLanguage(review.language, locale) : '',
    date: dateOf(review, parts, spoken),
    proof: parts.proof ? proofOf(review, translate, spoken) : null,
    note: sourcePolicies[review.source].typedBy === 'shop' ? translate('visitor.writtenDown') : '',
    besideName: keysOf(textsBesideName).flatMap((name) =>
      parts[name] && review[name] ? { name, text: review[name] } : [],
    ),
    portrait: parts.portrait ? at(review.portrait) : null,
    company:
      parts.company && review.company
        ? { name: review.company, url: review.companyUrl || null, logo: at(review.companyLogo) }
        : null,
    photos: parts.photos ? review.photos.map(photoOf) : [],
    relationship: review.relationship,
    postedOn: review.posted?.origin ?? '',
    origin: originOf(review, parts.origin, shop, translate),
    likes:
      parts.likes && review.posted?.likes ? translate('visitor.likes', { count: review.posted.likes }) : '',
    original:
      review.seenUrl && !review.posted ? { url: review.seenUrl, words: translate('visitor.original') } : null,
    reply:
      parts.reply && review.reply
        ? { name: review.reply.name, paragraphs: paragraphsOf(review.reply.body) }
        : null,
  }
}

/** The answers that visitors read, under the questions as they are worded now; of a deleted question as it was. */
function shownAnswers(answers: Answer[], { questions }: DisplayShop, locale: string): Quotation['answers'] {
  return answers.flatMap(({ label, value, question }) => {
    const now = question ? questions[question] : undefined
    if (now && !now.isPublic) return []
    return [
      {
        key: question ?? label,
        label: now?.label || label,
        value: question ? answerText(value, locale) : value,
      },
    ]
  })
}

function proofOf(
  { boughtBy, boughtAt }: ShowableReview,
  translate: CustomerTranslate,
  spoken: Parameters<typeof spokenMonth>[1],
): Quotation['proof'] {
  if (boughtBy === null) return null
  const words = boughtAt
    ? translate('visitor.boughtHere', { when: spokenMonth(boughtAt, spoken) })
    : translate('visitor.boughtSaid')
  return { words, how: translate(`visitor.how.${boughtBy}`) }
}

function originOf(
  { posted, listing, seenUrl }: ShowableReview,
  form: Parts['origin'],
  shop: DisplayShop,
  translate: CustomerTranslate,
): Quotation['origin'] {
  const on = listing === null ? undefined : shop.listings[listing]
  if (!posted || !on || form === 'hidden') return null
  return {
    words: translate('visitor.postedOn', { site: on.site }),
    icon: on.icon,
    claim: posted.claimsVerified ? translate('visitor.siteClaims', { site: on.site }) : '',
    url: form === 'name' || on.url === null ? null : seenUrl || null,
    newTab: form === 'newTab',
  }
}

/** Whole ratings without a decimal: "4", but "4.5". */
function plainNumber(hundredths: number, locale: string): string {
  return hundredths % 100 === 0 ? String(hundredths / 100) : oneDecimal(hundredths, locale)
}

/** A review that the shop added without a date has only the time of its entry, which is not shown. */
export const hasDate = ({ source, writtenPrecision }: Pick<ShowableReview, 'source' | 'writtenPrecision'>) =>
  !sourcePolicies[source].undatedIsUnknown || writtenPrecision !== 'moment'

function dateOf(
  review: ShowableReview,
  { date: form, datePattern }: Pick<Parts, 'date' | 'datePattern'>,
  { timeZone, locale }: { timeZone: string; locale: string },
): Quotation['date'] {
  if (form === 'hidden' || !hasDate(review)) return null
  const { writtenAt, writtenPrecision } = review
  const day = dayIn(timeZone, writtenAt)
  const written = (options: Intl.DateTimeFormatOptions) =>
    dateFormat(locale, { timeZone, year: 'numeric', ...options }).format(new Date(writtenAt))
  if (writtenPrecision === 'year') return { at: day.slice(0, 4), words: written({}) }
  if (form === 'month' || writtenPrecision === 'month')
    return { at: day.slice(0, 7), words: written({ month: 'long' }) }
  if (form === 'relative') return { at: day, words: written({ month: 'long' }), isRelative: true }
  const inFull = written({ day: 'numeric', month: 'long' })
  if (form === 'day') return { at: day, words: inFull }
  return { at: day, words: dateInPattern(writtenAt, datePattern, { timeZone, locale }) ?? inFull }
}

/** The name of a language in the language of the display; empty if it is that one, or unknown. */
function otherLanguage(language: string | null, locale: string): string {
  if (!language || language === locale.slice(0, 2)) return ''
  return new Intl.DisplayNames(locale, { type: 'language', fallback: 'none' }).of(language) ?? ''
}

function paragraphsOf(text: string): string[] {
  return text
    .split(/\n\s*\n/u)
    .map((part) => part.trim())
    .filter(Boolean)
}
