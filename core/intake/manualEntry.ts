import { z } from 'zod'
import { pictureAddress } from '../formats/picture'
import { messageCode } from '../messages/code'
import { BODY_LIMIT, NAME_LIMIT, TITLE_LIMIT } from './submission'

const text = (limit: number) =>
  z
    .string()
    .transform((typed) => typed.replace(/\r\n?/g, '\n'))
    .refine((typed) => typed.length <= limit, { error: messageCode('form.error.long', { limit }) })
    .default('')

const address = text(500).refine(
  (typed) => typed.trim() === '' || /^https?:\/\/\S+\.\S+$/i.test(typed.trim()),
  {
    error: messageCode('write.error.address'),
  },
)

/** A review that the owner adds. It needs a rating or some text. */
export function manualEntrySchema(productSkus: string[], today: string) {
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
      role: text(NAME_LIMIT),
      company: text(NAME_LIMIT),
      company_url: address,
      seen_url: address,
      written_at: z
        .string()
        .regex(/^(?:|\d{4}-\d{2}-\d{2})$/, { error: messageCode('write.error.date') })
        .refine((typed) => typed <= today, { error: messageCode('write.error.future') })
        .default(''),
      product: z.enum(['', ...productSkus], { error: messageCode('form.error.product') }).default(''),
      relationship: text(NAME_LIMIT),
      note: text(BODY_LIMIT),
      portrait: pictureAddress,
      company_logo: pictureAddress,
      consent: z.literal('on').optional(),
      waiting: z.literal('on').optional(),
    })
    .refine((entry) => entry.rating !== null || entry.body.trim() !== '', {
      error: messageCode('write.error.empty'),
      path: ['body'],
    })
}

export type ManualEntry = z.infer<ReturnType<typeof manualEntrySchema>>
