import { escape } from 'html-escaper'
import { isReadyToOpen } from '../../core/form/designProblems'
import type { FormDesign } from '../../core/form/design'
import { startingDesigns, type StartingForm } from '../../core/form/startingForms'
import type { Writers } from '../../core/intake/writers'
import { customerTranslate } from '../../core/messages/customers'
import { customerLanguage } from '../../core/messages/customers/languages'
import { say } from '../../core/messages/say/everything'
import { firstFree, slugOf } from '../../core/account/slug'
import {
  arrivalsOfForm,
  findForm,
  insertForm,
  insertFormVersion,
  isFormSlugTaken,
  moveForm,
  removeForm,
  updateForm,
  type Form,
  type FormState,
} from '../data/forms'
import { productsOfShop } from '../data/products'
import type { Shop } from '../data/shops'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { recently } from './gather'

export interface FormView {
  publicId: string
  name: string
  slug: string
  address: string
  state: FormState
  writers: Writers
  draft: FormDesign
  /** Whether customers see something else than the draft. */
  differs: boolean
  /** Reviews that came through it in the last 30 days. */
  arrivals: number
  products: { sku: string; title: string }[]
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
  const { id, name, slug, state, writers, draft } = form
  return {
    publicId,
    name,
    slug,
    address: `${publicUrl}/f/${slug}`,
    state,
    writers,
    draft,
    differs: state !== 'draft' && isOther(form),
    arrivals: await arrivalsOfForm(db, shop.id, id, recently(now())),
    products: (await productsOfShop(db, shop.id)).map(({ sku, title }) => ({ sku, title })),
    mails: mailer !== null,
    code: formCode(publicUrl, shop, slug),
  }
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
  return addForm(services, shop, { name: '', design, writers: writersOf(services) })
}

/** A copy of a form as a draft; null if the shop has no such form. */
export async function copyForm(
  services: Services,
  shop: Shop,
  publicId: string,
  name: string,
): Promise<string | null> {
  const form = await findForm(services.db, shop.id, publicId)
  return form && addForm(services, shop, { name, design: form.draft, writers: form.writers })
}

async function addForm(
  services: Services,
  shop: Shop,
  { name, design, writers }: Pick<Form, 'name' | 'writers' | 'design'>,
): Promise<string> {
  const { newId, now } = services
  const publicId = newId()
  // Answers are known by the id of their question, in all forms of a shop.
  const own = { ...design, questions: design.questions.map((one) => ({ ...one, id: newId() })) }
  await services.db.transaction(async (trx) => {
    const slug = await firstFree(slugOf(design.heading) || shop.slug, (one) => isFormSlugTaken(trx, one))
    await insertForm(trx, {
      ...{ shopId: shop.id, publicId, slug, name, writers, design: own },
      state: 'draft',
      now: now().toISOString(),
    })
  })
  return publicId
}

// Without an email server nobody could confirm an address.
const writersOf = ({ mailer }: Services): Writers => (mailer ? 'confirmed' : 'anyone')

export function saveFormDraft(
  { db }: Services,
  shop: Shop,
  publicId: string,
  draft: FormDesign,
): Promise<boolean> {
  return updateForm(db, shop.id, publicId, { draft })
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
export async function discardFormDraft({ db }: Services, shop: Shop, publicId: string): Promise<boolean> {
  const form = await findForm(db, shop.id, publicId)
  return form !== null && form.version > 0 && updateForm(db, shop.id, publicId, { draft: form.design })
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
