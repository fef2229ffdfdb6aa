import type { Theme } from '../../core/display/themeSchema'
import { insertLook, putStartingTheme, setLookRemoved } from '../data/looks'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'

/** Saves the theme of a display as a look of the shop. Returns its id; null if the shop has too many. */
export async function saveLook(
  { db, newId, now }: Services,
  shop: Shop,
  name: string,
  theme: Theme,
): Promise<string | null> {
  const publicId = newId()
  const look = { publicId, name, theme: { ...theme, look: publicId } }
  const isSaved = await writing(db, (trx) => insertLook(trx, shop.id, look, now().toISOString()))
  return isSaved ? publicId : null
}

export async function removeLook({ db, now }: Services, shop: Shop, publicId: string): Promise<void> {
  await writing(db, (trx) => setLookRemoved(trx, shop.id, publicId, now().toISOString()))
}

export async function restoreLook({ db }: Services, shop: Shop, publicId: string): Promise<void> {
  await writing(db, (trx) => setLookRemoved(trx, shop.id, publicId, null))
}

/** Sets what new displays of the shop start with. */
export async function startDisplaysLike({ db }: Services, shop: Shop, theme: Theme): Promise<void> {
  await writing(db, (trx) => putStartingTheme(trx, shop.id, theme))
}
