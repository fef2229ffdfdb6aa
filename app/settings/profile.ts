import { data } from 'react-router'
import { shopProfileSchema } from '../../core/account/shopProfile'
import type { Shop } from '../../server/data/shops'
import { requireShop } from '../account/session'
import { formFields } from '../readForm'
import type { ProfileErrors, ProfileValues } from './ProfileFields'

/** The profile of a shop as inputs show it. */
export const profileOf = (shop: Shop): ProfileValues => ({
  name: shop.name,
  short_name: shop.shortName,
  description: shop.description,
  site_url: shop.siteUrl,
  picture: shop.logo ?? '',
  brand: shop.brand,
  background: shop.background,
  textColour: shop.textColour,
  fonts: shop.fonts,
  corners: String(shop.corners),
  locale: shop.locale,
  languages: shop.languages.join(', '),
  own_domains: shop.ownDomains.join(', '),
  reply_name: shop.replyName,
  time_zone: shop.timeZone,
})

export interface ProfileAnswer {
  done?: 'shop'
  errors: ProfileErrors
}

/** Saves the fields of one section; the others stay. */
export async function saveProfile(
  request: Request,
  context: Parameters<typeof requireShop>[1],
  slug: string,
) {
  const { shop } = await requireShop(request, context, slug, 'settings')
  const sent = context.form
  const profile = shopProfileSchema.safeParse({
    ...profileOf(shop),
    customer_languages: shop.customerLanguages,
    ...formFields(context),
    ...(sent?.has('customer_languages') && { customer_languages: sent.getAll('customer_languages') }),
    ...(sent?.has('languages') && { languages: sent.getAll('languages').join(', ') }),
  })
  if (!profile.success) {
    const errors = profile.error.flatten().fieldErrors as ProfileErrors
    return data<ProfileAnswer>({ errors }, { status: 422 })
  }
  await context.elogio.saveSettings(shop, profile.data)
  return data<ProfileAnswer>({ done: 'shop', errors: {} })
}
