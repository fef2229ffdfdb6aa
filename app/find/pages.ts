import type { Permission } from '../../core/account/permissions'
import { normalizedWords, normalizeText } from '../../core/formats/normalizeText'
import { keysOf } from '../../core/formats/keysOf'
import { say } from '../../core/messages/say/find'

/** Screens and acts that can be found, with their addresses below that of the shop, and who may open them. */
const pages = {
  gather: { path: '/gather' },
  decide: { path: '/decide' },
  show: { path: '/show', needs: 'displays' },
  write: { path: '/gather/write' },
  newForm: { path: '/gather/forms/new', needs: 'settings' },
  newDisplay: { path: '/show/new', needs: 'displays' },
  connect: { path: '/gather/connect', needs: 'imports' },
  orders: { path: '/gather/orders', needs: 'imports' },
  products: { path: '/gather/products', needs: 'products' },
  settings: { path: '/settings', needs: 'settings' },
  style: { path: '/settings/style', needs: 'settings' },
  languages: { path: '/settings/languages', needs: 'settings' },
  email: { path: '/settings/email' },
  account: { path: '/settings/account' },
  learning: { path: '/settings/learning', needs: 'settings' },
  jobs: { path: '/settings/jobs', needs: 'settings' },
  problems: { path: '/settings/problems', needs: 'settings' },
  addShop: { path: '' },
} satisfies Record<string, { path: string; needs?: Permission }>
type Page = keyof typeof pages

/** The pages whose name, or another word for them, has all that is typed as beginnings of words. */
export function pagesFor(
  shop: string,
  isOwner: boolean,
  typed: string,
): { key: Page; to: string; title: string }[] {
  const words = normalizedWords(typed)
  if (words.length === 0) return []
  return keysOf(pages).flatMap((key) => {
    const page: { path: string; needs?: Permission } = pages[key]
    if (page.needs && !isOwner) return []
    const title = say(`find.pages.${key}`)
    const names = normalizeText(`${title} ${say(`find.also.${key}`)}`).split(/[\s’]+/)
    if (!words.every((word) => names.some((name) => name.startsWith(word)))) return []
    return [{ key, to: key === 'addShop' ? '/begin' : `/s/${shop}${page.path}`, title }]
  })
}
