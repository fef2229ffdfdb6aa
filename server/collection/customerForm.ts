import { isLocalAddress } from '../../core/formats/ipAddress'
import { aboutIn } from '../../core/intake/candidate'
import { TRAP_FIELD, type Submission, type SubmissionGiven } from '../../core/intake/submission'
import { lacksWork, WORK_FIELD } from '../../core/intake/suspicion'
import { customerTranslate } from '../../core/messages/customers'
import { customerLanguage, type CustomerLanguage } from '../../core/messages/customers/languages'
import { answersIn } from '../../core/form/answers'
import type { FormDesign } from '../../core/form/design'
import { designOfVersion, findFormBySlug, type Form } from '../data/forms'
import { findReceipt, type Receipt } from '../data/receipts'
import { productsBySku, skuKey, type Product } from '../data/products'
import { findShop, type Shop } from '../data/shops'
import { pendingPhotos } from '../media/pendingPhotos'
import type { Services } from '../services'
import { hashToken, issueFormToken, readFormToken } from './formToken'
import { askForWork, workDone } from './proofOfWork'
import { asCustomer } from '../../core/moderation/actor'
import { receiveOne } from './receive'

export interface CustomerForm {
  form: Form
  shop: Shop
  /** Those on offer. */
  products: Product[]
  /** What it shows and accepts: its published design, or the one that a customer began with. */
  design: FormDesign
  /** All SKUs that are accepted, also earlier ones and those of retired products. */
  skus: string[]
  productWithSku: (sku: string) => Product | undefined
}

/** @param version the number of the design that the customer sees; by default the published one */
export async function openForm(
  { db }: Services,
  slug: string,
  version?: number,
): Promise<CustomerForm | null> {
  const form = await findFormBySlug(db, slug)
  if (!form || form.state === 'draft') return null
  const bySku = await productsBySku(db, form.shopId)
  const onOffer = new Set([...bySku.values()].filter(({ retired }) => !retired))
  const begun = version === undefined ? null : await designOfVersion(db, form, version)
  return {
    form,
    design: begun ?? form.design,
    shop: await findShop(db, form.shopId),
    products: [...onOffer].sort((a, b) => a.title.localeCompare(b.title)),
    skus: [...bySku.keys()],
    productWithSku: (sku) => bySku.get(skuKey(sku)),
  }
}

/**
 * A token and a computation for the browser.
 * @param suspicion 0 to 4; a higher level takes more work
 */
export async function issueChallenge(services: Services, { form }: CustomerForm, suspicion: number) {
  const { signingKey, newId, now } = services
  const token = issueFormToken(signingKey, form.publicId, newId(), now())
  return { token, proofOfWork: await askForWork(services, token, suspicion) }
}

/** Stored with the answer, as evidence of what the customer agreed to. */
export const consentText = (shop: Shop, language: CustomerLanguage): string =>
  customerTranslate(language)('form.consent', { shop: shop.shortName })

export async function submitForm(
  services: Services,
  { form, shop, design }: CustomerForm,
  submission: SubmissionGiven,
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
  return receiveOne(services, shop, asCustomer, {
    source: 'form',
    formId: form.id,
    identity: fillSeconds === null ? { by: 'nothing' } : { by: 'token', token },
    tokenGood: fillSeconds !== null,
    writers: form.writers,
    workMissing: lacksWork(suspicion, work !== undefined, done),
    trapSprung: (submission[TRAP_FIELD] ?? '') !== '',
    fillSeconds,
    // An address of our own network belongs to a proxy, not to the writer.
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
    about: aboutIn(submission),
    photos: await pendingPhotos(services, form, submission.media),
    note: '',
    tags: [],
    answers: answersIn(design, submission),
    posted: null,
    evidence: [],
    customerLanguage: language,
    consent: {
      answer: submission.consent ? 'given' : 'refused',
      text: consentText(shop, language ?? customerLanguage(shop.locale) ?? 'en'),
    },
  })
}

// A form that is sent twice is answered like the first time, although its photos are no longer pending.
export async function hasLostPhotos(
  services: Services,
  { form }: CustomerForm,
  { media, token }: Pick<Submission, 'media' | 'token'>,
): Promise<boolean> {
  if ((await pendingPhotos(services, form, media)).length === media.length) return false
  return !token || !(await findReceipt(services.db, form.shopId, { tokenHash: hashToken(token) }))
}

export function thanksFor(
  { db }: Services,
  { form }: CustomerForm,
  publicId: string,
): Promise<Receipt | null> {
  return findReceipt(db, form.shopId, { formId: form.id, publicId })
}
