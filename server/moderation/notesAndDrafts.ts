import type { Shop } from '../data/shops'
import { deleteSavedView, putSavedView, savedViewsOfShop, type SavedView } from '../data/savedViews'
import { tagsOfShop } from '../data/tags'
import { updateNote, updateReplyDraft } from '../data/replies'
import { setAlt } from '../data/photos'
import { writing } from '../data/writing'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'

/** What is kept beside a review as it is typed, for the shop's eyes only: a note, or a reply that is not posted yet. */
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

/** Says what a photo shows, for visitors who can't see it. */
export async function savePhotoDescription(
  services: Services,
  shop: Shop,
  review: string,
  photo: string,
  alt: string,
): Promise<boolean> {
  const kept = await writing(services.db, async (trx) => {
    if (!(await setAlt(trx, shop.id, { review, photo }, alt))) return false
    await markAllStale(trx, shop.id, services.now().toISOString())
    return true
  })
  services.wakeJobs()
  return kept
}

/** The names that the queue offers: views of the shop and its tags. */
export async function queueNames(
  { db }: Services,
  shop: Shop,
): Promise<{ views: SavedView[]; tags: string[] }> {
  const tags = await tagsOfShop(db, shop.id)
  return { views: await savedViewsOfShop(db, shop.id), tags: tags.map(({ name }) => name) }
}

/** Keeps a filter of the queue under a name; one of the same name is replaced. */
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
