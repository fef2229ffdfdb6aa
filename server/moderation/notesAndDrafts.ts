import { askedQuestions } from '../../core/form/askedQuestions'
import { hasOptions } from '../../core/form/choices'
import type { Question } from '../../core/form/design'
import { formsOfShop, nameOfForm, type Form } from '../data/forms'
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
): Promise<{
  views: SavedView[]
  tags: string[]
  /** Forms beside the only one, by public id. */
  forms: Named[]
  /** Answers that can be chosen in a form, by question and answer. */
  answers: Named[]
}> {
  const tags = await tagsOfShop(db, shop.id)
  const forms = (await formsOfShop(db, shop.id)).filter(({ version }) => version > 0)
  const named = (form: Form): Named => ({ value: form.publicId, words: nameOfForm(form) })
  return {
    views: await savedViewsOfShop(db, shop.id),
    tags: tags.map(({ name }) => name),
    forms: forms.length > 1 ? forms.map(named) : [],
    answers: forms.flatMap(({ design }) => askedQuestions(design).flatMap(answersTo)),
  }
}

interface Named {
  value: string
  words: string
}

/** What can be chosen as an answer to a question; nothing for free texts. */
function answersTo({ id, label, kind, options, steps }: Question): Named[] {
  const values = hasOptions(kind)
    ? options
    : kind === 'scale'
      ? Array.from({ length: steps }, (_, i) => `${i + 1}/${steps}`)
      : []
  return values.map((value) => ({ value: `${id}:${value}`, words: `${label} ${value.replace('/', ' / ')}` }))
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
