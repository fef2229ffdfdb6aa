import { askedQuestions } from '../../core/form/askedQuestions'
import { hasOptions } from '../../core/form/choices'
import type { Question } from '../../core/form/design'
import { findForm, formsOfShop, type Form } from '../data/forms'
import type { Shop } from '../data/shops'
import { deleteSavedView, putSavedView, savedViewsOfShop, type SavedView } from '../data/savedViews'
import { frequentTags, MAX_LISTED_TAGS } from '../data/tags'
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

/** Choices of a filter; of many forms the latest, and the answers of the chosen form. */
const MAX_FORMS = 50
const MAX_ANSWERS = 200

/**
 * The saved filters of the shop, its most used tags, and its forms with the answers that can be chosen in them.
 * @param asked what the filter names
 */
export async function queueNames(
  { db }: Services,
  shop: Shop,
  asked: { form?: string; answer?: string } = {},
): Promise<{
  views: SavedView[]
  tags: string[]
  /** Forms beside the only one, by public id. */
  forms: Named[]
  /** Answers that can be chosen in a form, by question and answer. */
  answers: Named[]
}> {
  const latest = await formsOfShop(db, shop.id, { limit: MAX_FORMS, latestFirst: true })
  const chosen = asked.form === undefined ? null : await findForm(db, shop.id, asked.form)
  const forms = latest.reverse().filter(({ version, id }) => version > 0 && id !== chosen?.id)
  if (chosen) forms.push(chosen)
  const answers = (chosen ? [chosen] : forms).flatMap(({ design }) =>
    askedQuestions(design).flatMap(answersTo),
  )
  const isTold = (one: Named) => one.value === asked.answer
  const named = (form: Form): Named => ({ value: form.publicId, words: form.name })
  return {
    views: await savedViewsOfShop(db, shop.id),
    tags: await frequentTags(db, shop.id, { limit: MAX_LISTED_TAGS }),
    forms: forms.length > 1 ? forms.map(named) : [],
    answers: [...answers.slice(0, MAX_ANSWERS), ...answers.slice(MAX_ANSWERS).filter(isTold)],
  }
}

/** Tags that contain what a member types, the most used ones first. */
export const findTags = ({ db }: Services, shop: Shop, words: string): Promise<string[]> =>
  frequentTags(db, shop.id, { words, limit: MAX_LISTED_TAGS })

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
