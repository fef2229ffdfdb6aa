import { isLocalAddress } from '../../core/formats/ipAddress'
import { nothingAbout } from '../../core/intake/candidate'
import { TRAP_FIELD, type Submission } from '../../core/intake/submission'
import { lacksWork, WORK_FIELD } from '../../core/intake/suspicion'
import { customerTranslate } from '../../core/messages/customers'
import { customerLanguage, type CustomerLanguage } from '../../core/messages/customers/languages'
import { findFormBySlug, type Form } from '../data/forms'
import { findReceipt, type Receipt } from '../data/receipts'
import { findShop, productsOfShop, type Product, type Shop } from '../data/shops'
import { stagedPhotos } from '../media/stagePhoto'
import type { Services } from '../services'
import { hashToken, issueFormToken, readFormToken } from './formToken'
import { askForWork, workDone } from './proofOfWork'
import { receive } from './receive'

/** A form as its customers find it. */
export interface CustomerForm {
  form: Form
  shop: Shop
  products: Product[]
}

export async function openForm({ db }: Services, slug: string): Promise<CustomerForm | null> {
  const form = await findFormBySlug(db, slug)
  if (!form) return null
  return { form, shop: await findShop(db, form.shopId), products: await productsOfShop(db, form.shopId) }
}

/**
 * What a form's page begins with: a fresh token, stamped now, and what its browser has to compute.
 * @param suspicion how suspicious whoever opens it is, 0 to 4
 */
export async function issueChallenge(services: Services, { form }: CustomerForm, suspicion: number) {
  const { signingKey, newId, now } = services
  const token = issueFormToken(signingKey, form.publicId, newId(), now())
  return { token, proofOfWork: await askForWork(services, token, suspicion) }
}

/** The text beside the box that a customer selects; stored with her answer. */
export const consentText = (shop: Shop, language: CustomerLanguage): string =>
  customerTranslate(language)('form.consent', { shop: shop.shortName })

/** Takes what a customer sent, already checked for its shape. */
export async function submitForm(
  services: Services,
  { form, shop }: CustomerForm,
  submission: Submission,
  {
    ip = '',
    suspicion = 0,
    language = null,
  }: { ip?: string; suspicion?: number; language?: CustomerLanguage | null } = {},
): Promise<Receipt> {
  const token = submission.token ?? ''
  const work = submission[WORK_FIELD]
  const done = work === undefined ? null : await workDone(services, token, work)
  const fillSeconds = readFormToken(services.signingKey, form.publicId, token, services.now())
  return receive(services, shop, {
    source: 'form',
    formId: form.id,
    token: fillSeconds === null ? null : token,
    tokenGood: fillSeconds !== null,
    writers: form.writers,
    workMissing: lacksWork(suspicion, work !== undefined, done),
    trapSprung: (submission[TRAP_FIELD] ?? '') !== '',
    fillSeconds,
    // One of our own network, such as that of a proxy, says nothing of the writer.
    ip: isLocalAddress(ip) ? '' : ip,
    rating: { value: submission.rating, scale: 5 },
    title: submission.title,
    body: submission.body,
    authorName: submission.author_name,
    authorEmail: submission.author_email,
    orderNumber: submission.order_number,
    productSku: submission.product,
    writtenAt: null,
    arrivesAs: 'waiting',
    about: nothingAbout,
    photos: await stagedPhotos(services, form, submission.media),
    note: '',
    customerLanguage: language,
    consent: {
      answer: submission.consent ? 'given' : 'refused',
      text: consentText(shop, language ?? customerLanguage(shop.locale) ?? 'en'),
    },
  })
}

/**
 * Whether a form names photos that are no longer there. One that is sent a second time is answered like the first time:
 * its photos have gone with that.
 */
export async function hasLostPhotos(
  services: Services,
  { form }: CustomerForm,
  { media, token }: Submission,
): Promise<boolean> {
  if ((await stagedPhotos(services, form, media)).length === media.length) return false
  return !token || !(await findReceipt(services.db, form.shopId, { tokenHash: hashToken(token) }))
}

/** What the thanks page may say of a review that came through this form: nothing but what became of it on arrival. */
export function thanksFor(
  { db }: Services,
  { form }: CustomerForm,
  publicId: string,
): Promise<Receipt | null> {
  return findReceipt(db, form.shopId, { formId: form.id, publicId })
}
