import type { Shop } from '../data/shops'

/** Attributes of the embed code; each requests a variant. */
export const codeAttributes = ['data-product', 'data-limit', 'data-lang', 'data-theme'] as const

/** The embed code. A style element before it reserves the height. */
export function embedCode(publicUrl: string, shop: Shop, key: string): string {
  const name = shop.name.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
  return `<div data-elogio="${key}"><a href="${publicUrl}/d/${key}">Reviews of ${name}</a></div>\n<script async src="${publicUrl}/embed.js"></script>`
}
