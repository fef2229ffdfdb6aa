import { z } from 'zod'
import { keptPicture, pictureAddress } from '../formats/picture'
import { messageCode } from '../messages/code'
import { TAG_LIMIT } from '../moderation/reviewAct'
import { BODY_LIMIT, NAME_LIMIT, TITLE_LIMIT } from './limits'
import { isSkuAmong } from './submission'
import { recordOf } from '../formats/keysOf'
import { writerTextNames, writerTexts } from './writerTexts'

const text = (limit: number) =>
  z
    .string()
    .transform((typed) => typed.replace(/\r\n?/g, '\n'))
    .refine((typed) => typed.length <= limit, { error: messageCode('form.error.long', { limit }) })
    .default('')

/** People leave out `https://`. */
const address = text(500)
  .transform((typed) => (/^[^\s/:@]+\.[^\s:@]{2,}$/.test(typed.trim()) ? `https://${typed.trim()}` : typed))
  .refine((typed) => typed.trim() === '' || /^https?:\/\/\S+\.\S+$/i.test(typed.trim()), {
    error: messageCode('write.error.address'),
  })

const MOST_TAGS = 20

/** Names between commas; a name given twice counts once. */
const tags = text(1000)
  .transform((typed) => [...new Set(typed.split(',').flatMap((name) => name.trim() || []))])
  .refine((names) => names.length <= MOST_TAGS && names.every((name) => name.length <= TAG_LIMIT), {
    error: messageCode('write.error.tags', { most: MOST_TAGS, limit: TAG_LIMIT }),
  })

/**
 * A review that the owner adds or corrects. It needs a rating or some text.
 * @param locked the customer confirmed text and rating, so they are not sent
 */
export function manualEntrySchema(productSkus: string[], today: string, locked = false) {
  return z
    .object({
      rating: z
        .string()
        .regex(/^(?:|[1-5](?:[.,]\d{1,2})?)$/, { error: messageCode('write.error.rating') })
        .transform((typed) => (typed === '' ? null : Number(typed.replace(',', '.'))))
        .refine((value) => value === null || value <= 5, { error: messageCode('write.error.rating') })
        .default(null),
      title: text(TITLE_LIMIT),
      body: text(BODY_LIMIT),
      author_name: text(NAME_LIMIT),
      ...recordOf(writerTextNames, (name) => text(writerTexts[name].limit)),
      company_url: address,
      seen_url: address,
      written_at: z
        .string()
        .regex(/^(?:|\d{4}-\d{2}-\d{2})$/, { error: messageCode('write.error.date') })
        .refine((typed) => typed <= today, { error: messageCode('write.error.future') })
        .default(''),
      product: z
        .string()
        .refine(isSkuAmong(productSkus), { error: messageCode('form.error.product') })
        .default(''),
      note: text(BODY_LIMIT),
      tags,
      seen_public: z.literal('on').optional(),
      portrait: pictureAddress.or(keptPicture),
      company_logo: pictureAddress.or(keptPicture),
      consent: z.literal('on').optional(),
      waiting: z.literal('on').optional(),
    })
    .refine((entry) => locked || entry.rating !== null || entry.body.trim() !== '', {
      error: messageCode('write.error.empty'),
      path: ['body'],
    })
}

export type ManualEntry = z.infer<ReturnType<typeof manualEntrySchema>>
