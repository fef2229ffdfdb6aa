import { z } from 'zod'
import { messageCode } from '../messages/code'
import type { AboutWriter } from './candidate'
import { WORK_FIELD } from './suspicion'
import { MOST_PHOTOS, MOST_PHOTO_BYTES, photoRefs } from './photos'

export const TITLE_LIMIT = 120
export const BODY_LIMIT = 3000
export const NAME_LIMIT = 120
const ORDER_NUMBER_LIMIT = 60

/** The hidden field; only scripts fill it in. */
export const TRAP_FIELD = 'website'

/** Browsers send line breaks as CRLF; the counter beside the field counts one character. */
const typedText = z.string().transform((text) => text.replace(/\r\n?/g, '\n'))

const filled = (missing: string, limit: number) =>
  z
    .string({ error: missing })
    .refine((text) => text.trim().length > 0, { error: missing })
    .refine((text) => text.length <= limit, { error: messageCode('form.error.long', { limit }) })

const optional = (limit: number) =>
  typedText
    .refine((text) => text.length <= limit, {
      error: (issue) => messageCode('form.error.longText', { over: String(issue.input).length - limit }),
    })
    .optional()
    .transform((text) => text ?? '')

/** Whether a SKU is empty or among those given, whatever its case. */
export function isSkuAmong(skus: string[]): (sku: string) => boolean {
  const known = new Set(skus.map((sku) => sku.trim().toLowerCase()))
  return (sku) => sku === '' || known.has(sku.trim().toLowerCase())
}

/** The fields of a form under their public names. Products are given by SKU. */
export function submissionSchema(productSkus: string[]) {
  return z.object({
    rating: z
      .string({ error: messageCode('form.error.rating') })
      .regex(/^[1-5]$/, { error: messageCode('form.error.ratingScale') })
      .transform(Number),
    title: optional(TITLE_LIMIT),
    body: optional(BODY_LIMIT),
    author_name: filled(messageCode('form.error.name'), NAME_LIMIT),
    author_email: z
      .string({ error: messageCode('form.error.email') })
      .trim()
      .max(254, { error: messageCode('form.error.long', { limit: 254 }) })
      .pipe(z.email({ error: messageCode('form.error.emailShape') })),
    order_number: optional(ORDER_NUMBER_LIMIT),
    product: z
      .string()
      .optional()
      .transform((sku) => sku ?? '')
      .refine(isSkuAmong(productSkus), { error: messageCode('form.error.product') }),
    consent: z
      .string()
      .optional()
      .transform((answer) => ['on', 'yes', 'true', '1'].includes((answer ?? '').toLowerCase())),
    media: photoRefs,
    token: z.string().max(500).optional(),
    [WORK_FIELD]: z.string().max(2000).optional(),
    [TRAP_FIELD]: z.string().optional(),
  })
}

/** The names of all fields. */
export const submissionFieldNames = Object.keys(submissionSchema([]).shape)

export type Submission = z.infer<ReturnType<typeof submissionSchema>>
/** Fields that only describe the writer may be missing. */
export type SubmissionGiven = Omit<Submission, keyof AboutWriter> & Partial<Submission>
export type SubmissionErrors = Record<string, string[]>

/** The fields in the form's JSON. */
export const submissionFields = [
  { name: 'rating', required: true, minimum: 1, maximum: 5 },
  { name: 'title', required: false, maxLength: TITLE_LIMIT },
  { name: 'body', required: false, maxLength: BODY_LIMIT },
  { name: 'author_name', required: true, maxLength: NAME_LIMIT },
  { name: 'author_email', required: true, maxLength: 254 },
  { name: 'order_number', required: false, maxLength: ORDER_NUMBER_LIMIT },
  { name: 'product', required: false },
  { name: 'media', required: false, most: MOST_PHOTOS, maxBytes: MOST_PHOTO_BYTES },
  { name: 'consent', required: false },
] as const
