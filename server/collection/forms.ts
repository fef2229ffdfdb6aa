import { escape } from 'html-escaper'
import { askedQuestions } from '../../core/form/askedQuestions'
import { isReadyToOpen } from '../../core/form/designProblems'
import type { FormDesign, Translation } from '../../core/form/design'
import { startingDesigns, type StartingForm } from '../../core/form/startingForms'
import type { Writers } from '../../core/intake/writers'
import { customerTranslate } from '../../core/messages/customers'
import {
  customerLanguage,
  customerLanguages,
  type CustomerLanguage,
} from '../../core/messages/customers/languages'
import { say } from '../../core/messages/say/everything'
import { firstFree, slugOf } from '../../core/account/slug'
import {
  arrivalsByDay,
  findForm,
  countForms,
  insertForm,
  insertFormVersion,
  isFormSlugTaken,
  moveForm,
  removeForm,
  updateForm,
  type Form,
  type FormSettings,
  type FormState,
} from '../data/forms'
import { formDays } from '../data/formDays'
import type { Shop } from '../data/shops'
import { frequentTags, MAX_LISTED_TAGS } from '../data/tags'
import { storePicture } from '../media/storePicture'
import { startDisplay } from '../publishing/newDisplay'
import { markAllStale } from '../publishing/staleDisplays'
import { writing } from '../data/writing'
import { isChangedElsewhere, type DraftSaved, type SavingTab } from '../savingTab'
import type { Services } from '../services'
import { productChoices, type ProductChoices } from './productChoices'
import { isOpenAt } from './customerForm'
import { countTrials } from './trials'

const DAY_MS = 86_400_000

export interface FormView {
  publicId: string
  name: string
  slug: string
  address: string
  state: FormState
  settings: FormSettings
  /** Whether its last day is over. */
  isOver: boolean
  draft: FormDesign
  /** When the draft was saved; empty if it never was. */
  savedAt: string
  /** Whether customers see something else than the draft. */
  differs: boolean
  /** The last 30 days, in UTC. */
  days: FormDay[]
  /** The number of its test reviews. */
  trials: number
  products: ProductChoices
  /** Those that customers can read the shop's forms in. */
  languages: CustomerLanguage[]
  /** The shop's tags. */
  tags: string[]
  /** Whether an email server is set up. */
  mails: boolean
  /** HTML for the owner's pages: the form in its place, or over the page from a link. */
  code: { inPlace: string; over: string }
}

/** The data of the editor of a form. */
export async function formView(services: Services, shop: Shop, publicId: string): Promise<FormView | null> {
  const { db, publicUrl, mailer, now } = services
  const form = await findForm(db, shop.id, publicId)
  if (!form) return null
  const { name, slug, state, draft } = form
  const { writers, arrivesAs, tag, lastDay } = form
  return {
    publicId,
    name,
    slug,
    address: `${publicUrl}/f/${slug}`,
    state,
    settings: { writers, arrivesAs, tag, lastDay },
    isOver: state === 'open' && !isOpenAt(form, shop, now()),
    draft,
    savedAt: form.draftSavedAt,
    differs: state !== 'draft' && isOther(form),
    days: await daysOfForm(services, form),
    trials: await countTrials(services, form),
    products: await productChoices(db, shop.id, { named: [draft.product.fixed] }),
    tags: await frequentTags(db, shop.id, { limit: MAX_LISTED_TAGS }),
    languages: customerLanguages.filter((one) => shop.customerLanguages.includes(one)),
    mails: mailer !== null,
    code: formCode(publicUrl, shop, slug),
  }
}

/** How often a form was opened, begun and sent on a day. */
export interface FormDay {
  day: string
  opened: number
  begun: number
  sent: number
}

const DAYS_SHOWN = 30

async function daysOfForm({ db, now }: Services, { id }: Form): Promise<FormDay[]> {
  const days = Array.from({ length: DAYS_SHOWN }, (_, i) =>
    new Date(now().getTime() - (DAYS_SHOWN - 1 - i) * DAY_MS).toISOString().slice(0, 10),
  )
  const visits = new Map((await formDays(db, id, days[0]!)).map((one) => [one.day, one]))
  const arrivals = new Map((await arrivalsByDay(db, id, days[0]!)).map(({ day, count }) => [day, count]))
  return days.map((day) => ({
    day,
    opened: visits.get(day)?.opened ?? 0,
    begun: visits.get(day)?.begun ?? 0,
    sent: arrivals.get(day) ?? 0,
  }))
}

function formCode(publicUrl: string, { locale }: Shop, slug: string): FormView['code'] {
  const words = escape(customerTranslate(customerLanguage(locale) ?? 'en')('visitor.write'))
  const code = (attributes: string) =>
    `<div data-elogio-form="${slug}"${attributes}><a href="${publicUrl}/f/${slug}">${words}</a></div>\n` +
    `<script src="${publicUrl}/embed.js" async></script>`
  return { inPlace: code(''), over: code(' data-over') }
}

const isOther = ({ draft, design }: Form) => JSON.stringify(draft) !== JSON.stringify(design)

/** Begins a form, which is a draft until it is opened. Answers its public id. */
export async function beginForm(services: Services, shop: Shop, start: StartingForm): Promise<string> {
  const [first, second] = startingDesigns[start].questions
  const words = (name: 'first' | 'second' | 'low' | 'high') => say(`forms.firstQuestions.${name}`)
  const questions =
    first && second
      ? [
          { ...first, label: words('first') },
          { ...second, label: words('second'), low: words('low'), high: words('high') },
        ]
      : []
  const design = { ...startingDesigns[start], questions }
  const name = say('forms.numbered', { number: (await countForms(services.db, shop.id)) + 1 })
  return addForm(services, shop, { name, design, ...startingSettings, writers: writersOf(services) })
}

/** A copy of a form as a draft; null if the shop has no such form. */
export async function copyForm(
  services: Services,
  shop: Shop,
  publicId: string,
  name: string,
): Promise<string | null> {
  const form = await findForm(services.db, shop.id, publicId)
  return form && addForm(services, shop, { ...form, name, design: form.draft })
}

async function addForm(
  services: Services,
  shop: Shop,
  { name, design, writers, ...more }: Pick<Form, 'name' | 'design'> & FormSettings,
): Promise<string> {
  const { newId, now } = services
  const publicId = newId()
  // Answers are known by the id of their question, in all forms of a shop.
  const own = withNewIds(design, newId)
  await services.db.transaction(async (trx) => {
    const slug = await firstFree(slugOf(design.heading) || shop.slug, (one) => isFormSlugTaken(trx, one))
    await insertForm(trx, {
      ...{ shopId: shop.id, publicId, slug, name, writers, design: own },
      state: 'draft',
      now: now().toISOString(),
    })
    const { arrivesAs, tag, lastDay } = more
    await updateForm(trx, shop.id, publicId, { arrivesAs, tag, lastDay })
  })
  return publicId
}

const startingSettings: FormSettings = { writers: 'anyone', arrivesAs: 'waiting', tag: '', lastDay: '' }

function withNewIds(design: FormDesign, newId: () => string): FormDesign {
  const ids = new Map(design.questions.map(({ id }) => [id, newId()]))
  const renamed = ({ questions, ...translation }: Translation): Translation => ({
    ...translation,
    questions: Object.fromEntries(
      Object.entries(questions).flatMap(([id, words]) => (ids.has(id) ? [[ids.get(id)!, words]] : [])),
    ),
  })
  return {
    ...design,
    questions: design.questions.map((one) => ({ ...one, id: ids.get(one.id)! })),
    translations: Object.fromEntries(
      Object.entries(design.translations).map(([language, one]) => [language, renamed(one)]),
    ),
  }
}

// Without an email server nobody could confirm an address.
const writersOf = ({ mailer }: Services): Writers => (mailer ? 'confirmed' : 'anyone')

/** Saves the draft, unless another tab has changed it since. Null if there is no such form. */
export async function saveFormDraft(
  { db, now, changes }: Services,
  shop: Shop,
  publicId: string,
  draft: FormDesign,
  saving: SavingTab = { tab: '', base: null },
): Promise<DraftSaved | null> {
  const savedAt = now().toISOString()
  const saved = await writing(db, async (trx): Promise<DraftSaved | null> => {
    const form = await findForm(trx, shop.id, publicId)
    if (!form) return null
    const stored = { savedAt: form.draftSavedAt, tab: form.draftTab }
    if (isChangedElsewhere(saving, stored)) return { outcome: 'changedElsewhere', savedAt: stored.savedAt }
    await updateForm(trx, shop.id, publicId, { draft, draftSavedAt: savedAt, draftTab: saving.tab })
    return { outcome: 'saved', savedAt }
  })
  if (saved?.outcome === 'saved') changes.announce(shop.id, 'shop', saving.tab)
  return saved
}

/** Sets who can write, how reviews begin, their tag and the last day; earlier reviews stay as they are. */
export function setFormSettings(
  { db }: Services,
  shop: Shop,
  publicId: string,
  settings: Partial<FormSettings>,
): Promise<boolean> {
  return updateForm(db, shop.id, publicId, settings)
}

/** In pixels: the sheet's width on dense screens. */
const PICTURE_PX = 1200

/** Stores a picture for the draft of a form. Returns the name of its file; null if it can't be read. */
export const storeFormPicture = (services: Services, shop: Shop, picture: string): Promise<string | null> =>
  storePicture(services, shop.id, picture, PICTURE_PX)

/** Begins a display of the reviews of a form, as a draft. Returns its key; null if the shop has no such form. */
export async function displayOfForm(
  services: Services,
  shop: Shop,
  publicId: string,
): Promise<string | null> {
  const form = await findForm(services.db, shop.id, publicId)
  if (!form) return null
  const asksInPublic = askedQuestions(form.draft).some((question) => question.public)
  return startDisplay(services, shop, asksInPublic ? 'table' : 'list', {
    name: form.name,
    selection: { forms: [publicId] },
  })
}

export function renameForm({ db }: Services, shop: Shop, publicId: string, name: string): Promise<boolean> {
  return updateForm(db, shop.id, publicId, { name })
}

/** Shows the draft to customers from now on, and opens a form that is closed or never was open. */
export async function publishForm(
  services: Services,
  shop: Shop,
  publicId: string,
): Promise<'published' | 'unready' | 'missing'> {
  const { db, now } = services
  return db.transaction(async (trx) => {
    const form = await findForm(trx, shop.id, publicId)
    if (!form) return 'missing'
    if (!isReadyToOpen(form.draft)) return 'unready'
    if (form.version === 0 || isOther(form))
      await insertFormVersion(trx, form, form.draft, now().toISOString())
    await updateForm(trx, shop.id, publicId, { state: 'open' })
    // Displays show answers under the questions as they are worded now, and lead to an open form.
    await markAllStale(trx, shop.id, now().toISOString())
    return 'published'
  })
}

/** The draft as customers see the form again. */
export async function discardFormDraft(services: Services, shop: Shop, publicId: string): Promise<boolean> {
  const form = await findForm(services.db, shop.id, publicId)
  if (!form || form.version === 0) return false
  return (await saveFormDraft(services, shop, publicId, form.design)) !== null
}

export function closeForm({ db }: Services, shop: Shop, publicId: string): Promise<boolean> {
  return updateForm(db, shop.id, publicId, { state: 'closed' })
}

/**
 * Gives a form another address; its earlier ones go on working. Answers with a free one to choose if another form has
 * it.
 */
export async function setFormAddress(
  { db }: Services,
  shop: Shop,
  publicId: string,
  slug: string,
): Promise<{ outcome: 'moved' } | { outcome: 'taken'; free: string } | { outcome: 'missing' }> {
  return db.transaction(async (trx) => {
    const form = await findForm(trx, shop.id, publicId)
    if (!form || slug === '') return { outcome: 'missing' }
    const owner = await isFormSlugTaken(trx, slug, form.id)
    if (owner) return { outcome: 'taken', free: await firstFree(slug, (one) => isFormSlugTaken(trx, one)) }
    await moveForm(trx, shop.id, form.id, slug)
    return { outcome: 'moved' }
  })
}

/** Removes a form, or brings it back. Its reviews stay; its address says that the form is gone. */
export function setFormRemoved(
  { db, now }: Services,
  shop: Shop,
  publicId: string,
  removed: boolean,
): Promise<boolean> {
  return removeForm(db, shop.id, publicId, removed ? now().toISOString() : null)
}
