import type { Shop } from '../data/shops'
import { deleteSavedView, putSavedView, savedViewsOfShop, type SavedView } from '../data/savedViews'
import { tagsOfShop } from '../data/tags'
import { updateNote, updateReplyDraft } from '../data/replies'
import { setAlt } from '../data/photos'
import { writing } from '../data/writing'
import { markReviewStale } from '../publishing/staleDisplays'
import type { Services } from '../services'

/** Private texts that are saved as they are typed: the note and the draft of a reply. */
export async function saveNoteOrDraft(
  { db }: Services,
  shop: Shop,
  publicId: string,
  what: 'note' | 'replyDraft',
  text: string,
): Promise<boolean> {
  const keep = what === 'note' ? updateNote : updateReplyDraft
  return keep(db, shop.id, publicId, text)
}

/** Sets the description of a photo. */
export async function savePhotoDescription(
  services: Services,
  shop: Shop,
  review: string,
  photo: string,
  alt: string,
): Promise<boolean> {
  const kept = await writing(services.db, async (trx) => {
    const reviewId = await setAlt(trx, shop.id, { review, photo }, alt)
    if (reviewId === null) return false
    await markReviewStale(trx, shop.id, reviewId, services.now().toISOString())
    return true
  })
  services.wakeJobs()
  return kept
}

/** The saved filters and tags of the shop. */
export async function queueNames(
  { db }: Services,
  shop: Shop,
): Promise<{ views: SavedView[]; tags: string[] }> {
  const tags = await tagsOfShop(db, shop.id)
  return { views: await savedViewsOfShop(db, shop.id), tags: tags.map(({ name }) => name) }
}

/** Saves a filter; one with the same name is replaced. */
export async function saveView(
  { db, newId }: Services,
  shop: Shop,
  name: string,
  query: string,
): Promise<void> {
  await putSavedView(db, shop.id, { publicId: newId(), name, query })
}

export async function deleteView({ db }: Services, shop: Shop, publicId: string): Promise<void> {
  await deleteSavedView(db, shop.id, publicId)
}
