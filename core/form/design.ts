import { z } from 'zod'
import { BODY_LIMIT, TITLE_LIMIT } from '../intake/limits'
import { MOST_PHOTOS } from '../intake/photos'
import {
  CONSENT_LIMIT,
  COUPON_LIMIT,
  FORM_HEADING_LIMIT,
  FORM_LABEL_LIMIT,
  FORM_TEXT_LIMIT,
  MOST_CORNERS,
  MOST_OPTIONS,
  MOST_QUESTIONS,
  MOST_SECONDS_TO_NEXT,
  OPTION_LIMIT,
  QUESTION_LIMIT,
  questionKinds,
  USUAL_CORNERS,
  WIDEST_SCALE,
} from './choices'
import { recordOf } from '../formats/keysOf'
import { askedTexts } from '../intake/writerTexts'
import { lengthBounds } from './fields'
import { keptFile } from '../formats/picture'
import { customerLanguages } from '../messages/customers/languages'
import { cutRichText } from './richText'
import { textKeys } from './textKeys'

/** Empty is the text of the catalogue, in the customer's language. */
const label = z.string().max(FORM_LABEL_LIMIT).default('')
const field = ({ shown, required }: { shown: boolean; required: boolean }) =>
  z.object({ shown: z.boolean().default(shown), required: z.boolean().default(required), label }).prefault({})
const asked = { shown: true, required: true }
const lengthOf = ({ min, max }: { min: number; max: number }) => z.number().int().min(min).max(max)
const colour = z.union([z.literal(''), z.string().regex(/^#[0-9a-f]{6}$/i)])

/** Plain text, or a document of the editor; kept is what may be shown. */
const intro = z
  .unknown()
  .transform((given) => cutRichText(given, FORM_TEXT_LIMIT))
  .prefault('')
const questionId = z.string().regex(/^[a-z0-9]{4,20}$/)

const questionSchema = z.object({
  /** Stays the same whatever the question says; its field is `answer_ID`. */
  id: questionId,
  kind: z.enum(questionKinds),
  /** A question without words is not asked. */
  label: z.string().max(QUESTION_LIMIT),
  hint: z.string().max(QUESTION_LIMIT).default(''),
  /** Of one or several; empty ones are not offered. */
  options: z.array(z.string().max(OPTION_LIMIT)).max(MOST_OPTIONS).default([]),
  /** The highest step of a scale from 1 on, and the words at both ends. */
  steps: z.number().int().min(2).max(WIDEST_SCALE).default(5),
  low: label,
  high: label,
  required: z.boolean().default(false),
  /** Whether visitors may read the answers. */
  public: z.boolean().default(false),
})
export type Question = z.infer<typeof questionSchema>

const nextAddress = z.union([z.literal(''), z.url({ protocol: /^https?$/ }).max(2000)]).default('')
const words = z.string().max(FORM_TEXT_LIMIT)

/** The texts of a form in one language; an empty one is that of all languages. */
const translationSchema = z.object({
  texts: z.partialRecord(z.enum(textKeys), words).default({}),
  intro,
  /** By the id of the question; options in the order of the question's. */
  questions: z
    .record(
      questionId,
      z
        .object({
          label: z.string().max(QUESTION_LIMIT),
          hint: z.string().max(QUESTION_LIMIT),
          low: z.string().max(FORM_LABEL_LIMIT),
          high: z.string().max(FORM_LABEL_LIMIT),
          options: z.array(z.string().max(OPTION_LIMIT)).max(MOST_OPTIONS),
        })
        .partial(),
    )
    .refine((all) => Object.keys(all).length <= 2 * MOST_QUESTIONS)
    .default({}),
})
export type Translation = z.infer<typeof translationSchema>

/** What a form shows and asks for. Who can write makes some fields necessary (`neededFields.ts`). */
export const designSchema = z.object({
  schema: z.literal(1),
  /** Whether the shop's logo is above the form. */
  logo: z.boolean().default(true),
  /** A file of the shop above the heading; without a name there is none. */
  picture: z
    .object({
      name: z.union([z.literal(''), keptFile]).default(''),
      alt: z.string().max(QUESTION_LIMIT).default(''),
    })
    .prefault({}),
  heading: z.string().max(FORM_HEADING_LIMIT).default(''),
  intro,
  /** Of the button and marks; empty is the shop's. */
  colour: colour.default(''),
  /** Of the page around the sheet; empty is a light shade of the colour. */
  background: colour.default(''),
  /** Of the sheet, in CSS pixels. */
  corners: z.number().int().min(0).max(MOST_CORNERS).default(USUAL_CORNERS),
  rating: field(asked),
  product: z
    .object({
      shown: z.boolean().default(true),
      required: z.boolean().default(false),
      label,
      /** The SKU of the only product that it is about; empty for any. */
      fixed: z.string().max(100).default(''),
    })
    .prefault({}),
  orderNumber: field({ shown: true, required: false }),
  title: z
    .object({
      shown: z.boolean().default(true),
      label,
      most: lengthOf(lengthBounds.title.most).default(TITLE_LIMIT),
    })
    .prefault({}),
  /** Lengths are in characters. */
  body: z
    .object({
      required: z.boolean().default(false),
      label,
      least: lengthOf(lengthBounds.body.least).default(0),
      most: lengthOf(lengthBounds.body.most).default(BODY_LIMIT),
    })
    .prefault({}),
  photos: z.object({ most: z.number().int().min(0).max(MOST_PHOTOS).default(MOST_PHOTOS) }).prefault({}),
  video: z.object({ shown: z.boolean().default(false) }).prefault({}),
  name: field(asked),
  ...recordOf(askedTexts, () => field({ shown: false, required: false })),
  email: field(asked),
  questions: z
    .array(questionSchema)
    .max(MOST_QUESTIONS)
    .refine((all) => new Set(all.map(({ id }) => id)).size === all.length)
    .default([]),
  /** What its writer agrees to; kept with each review. */
  consent: z.object({ label: z.string().max(CONSENT_LIMIT).default('') }).prefault({}),
  button: z.string().max(60).default(''),
  /**
   * Shown after sending. One that the form announces marks the review as having received a discount, which visitors
   * see.
   */
  coupon: z
    .object({ text: z.string().max(COUPON_LIMIT).default(''), announced: z.boolean().default(true) })
    .prefault({}),
  thanks: z
    .object({
      heading: z.string().max(FORM_HEADING_LIMIT).default(''),
      text: z.string().max(FORM_TEXT_LIMIT).default(''),
      link: z
        .object({
          words: z.string().max(60).default(''),
          url: nextAddress,
          /** Seconds until the address opens by itself; 0 for never. */
          after: z.number().int().min(0).max(MOST_SECONDS_TO_NEXT).default(0),
        })
        .prefault({}),
      /** Links for telling others. */
      passOn: z.boolean().default(false),
      /** Where these lead; empty is the shop’s site. */
      passOnUrl: nextAddress,
    })
    .prefault({}),
  /** What a closed form says. */
  closed: z.string().max(FORM_TEXT_LIMIT).default(''),
  translations: z.partialRecord(z.enum(customerLanguages), translationSchema).default({}),
})
export type FormDesign = z.infer<typeof designSchema>
