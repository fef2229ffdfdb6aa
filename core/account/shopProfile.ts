import { formatHex, parse } from 'culori'
import { z } from 'zod'
import { pictureAddress } from '../formats/picture'
import { FAMILY_LIST } from '../site/fonts'
import { customerLanguages } from '../messages/customers/languages'
import { messageCode } from '../messages/code'

const NAME_MOST = 80
const DESCRIPTION_MOST = 300

const line = (limit: number) =>
  z
    .string()
    .trim()
    .max(limit, { error: messageCode('form.error.long', { limit }) })
const optional = (limit: number) => line(limit).default('')

const colour = z
  .string()
  .trim()
  .refine((typed) => parse(typed) !== undefined, { error: messageCode('setUp.error.colour') })
  .transform((typed) => formatHex(typed)!)

const separated = (text: string) => [...new Set(text.split(/[\s,;]+/).filter(Boolean))]

const domains = optional(1000).transform((typed, context) => {
  const found = separated(typed.toLowerCase()).map((domain) =>
    domain
      .replace(/^https?:\/\//, '')
      .replace(/^www\./, '')
      .replace(/[/:?#].*$/, ''),
  )
  const wrong = found.find((domain) => !/^(localhost|[\p{L}\p{N}-]+(\.[\p{L}\p{N}-]+)+)$/u.test(domain))
  if (wrong !== undefined) context.addIssue(messageCode('setUp.error.domain', { domain: wrong }))
  return found
})

function isLocale(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1
  } catch {
    return false
  }
}

function isTimeZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).format(0) !== ''
  } catch {
    return false
  }
}

const languages = optional(200).transform((typed, context) => {
  const found = separated(typed.toLowerCase())
  const wrong = found.find((tag) => !/^[a-z]{2,3}$/.test(tag))
  if (wrong !== undefined) context.addIssue(messageCode('setUp.error.language', { language: wrong }))
  return found
})

/** The profile of a shop; the keys are the names of the form's fields. */
export const shopProfileSchema = z.object({
  name: line(NAME_MOST).min(1, { error: messageCode('setUp.error.name') }),
  short_name: optional(NAME_MOST),
  description: optional(DESCRIPTION_MOST),
  site_url: optional(500).refine((typed) => typed === '' || /^https?:\/\/\S+$/i.test(typed), {
    error: messageCode('write.error.address'),
  }),
  picture: pictureAddress,
  brand: colour,
  background: colour,
  textColour: colour,
  fonts: optional(200).refine((typed) => typed === '' || FAMILY_LIST.test(typed), {
    error: messageCode('setUp.error.fonts'),
  }),
  corners: z.coerce.number().int().min(0).max(32).catch(8),
  locale: line(35).refine(isLocale, { error: messageCode('setUp.error.locale') }),
  languages,
  /** Empty where the form lacks the field: then the shop uses all languages. */
  customer_languages: z
    .array(z.enum(customerLanguages))
    .default([])
    .transform((chosen) => (chosen.length > 0 ? chosen : [...customerLanguages])),
  own_domains: domains,
  reply_name: optional(NAME_MOST),
  time_zone: line(60).refine(isTimeZone, { error: messageCode('setUp.error.timeZone') }),
})
export type ShopProfile = z.infer<typeof shopProfileSchema>

export const PASSWORD_LEAST = 10

export const newPassword = z
  .string()
  .min(PASSWORD_LEAST, { error: messageCode('setUp.error.password', { least: PASSWORD_LEAST }) })
  .max(1000)

/** The account of the person who sets up the shop. */
export const newAccountSchema = z.object({
  member_name: line(NAME_MOST).min(1, { error: messageCode('form.error.name') }),
  email: z
    .string()
    .trim()
    .toLowerCase()
    .pipe(z.email({ error: messageCode('form.error.emailShape') })),
  password: newPassword,
})
export type NewAccount = z.infer<typeof newAccountSchema>
