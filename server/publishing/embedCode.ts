import type { Shop } from '../data/shops'

/** What the owner pastes into her page. */
export function embedCode(publicUrl: string, shop: Shop, key: string): string {
  const name = shop.name.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
  return `<div data-elogio="${key}"><a href="${publicUrl}/d/${key}">Reviews of ${name}</a></div>\n<script async src="${publicUrl}/embed.js"></script>`
}
