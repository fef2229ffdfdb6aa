import { z } from 'zod'
import { keptPicture, pictureAddress } from '../formats/picture'
import { messageCode } from '../messages/code'

export const PRODUCT_TITLE_LIMIT = 200
export const SKU_LIMIT = 100
/** On the page of all products. */
export const PRODUCTS_OF_PAGE = 100

/** A product as a member types it. Without a SKU it gets one from its name. */
export const productFieldsSchema = z.object({
  title: z
    .string()
    .trim()
    .min(1, { error: messageCode('products.error.title') })
    .max(PRODUCT_TITLE_LIMIT, { error: messageCode('form.error.long', { limit: PRODUCT_TITLE_LIMIT }) }),
  sku: z
    .string()
    .trim()
    .max(SKU_LIMIT, { error: messageCode('form.error.long', { limit: SKU_LIMIT }) })
    .default(''),
  page_url: z
    .string()
    .trim()
    .max(500, { error: messageCode('form.error.long', { limit: 500 }) })
    .regex(/^(?:https?:\/\/\S+\.\S+)?$/i, { error: messageCode('products.error.address') })
    .default(''),
  picture: pictureAddress.or(keptPicture),
})
export type ProductForm = z.infer<typeof productFieldsSchema>

/** A SKU made from a name: its words in capitals with hyphens, at most 24 characters, and a number from the second on. */
export function skuFromTitle(title: string, number: number): string {
  const words = title
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toUpperCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
  const base = words.slice(0, 24).replace(/-$/, '') || 'PRODUCT'
  return number === 1 ? base : `${base}-${number}`
}
