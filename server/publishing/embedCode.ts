import type { Shop } from '../data/shops'

/** Attributes that the box of a display understands; each asks for a variant of it. */
export const codeAttributes = ['data-product', 'data-limit', 'data-lang', 'data-theme'] as const

/** What the owner pastes into her page; the height is reserved by a style element before it, where she wants it. */
export function embedCode(publicUrl: string, shop: Shop, key: string): string {
  const name = shop.name.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
  return `<div data-elogio="${key}"><a href="${publicUrl}/d/${key}">Reviews of ${name}</a></div>\n<script async src="${publicUrl}/embed.js"></script>`
}
