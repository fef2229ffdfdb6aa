import type { Knex } from 'knex'
import { isLocalAddress } from '../../core/formats/ipAddress'
import { dayIn } from '../../core/formats/dates'
import { announcesCoupon } from '../../core/form/coupon'
import { aboutIn, type Candidate } from '../../core/intake/candidate'
import { TRAP_FIELD, type Submission, type SubmissionGiven } from '../../core/intake/submission'
import { lacksWork, WORK_FIELD } from '../../core/intake/suspicion'
import { customerTranslate } from '../../core/messages/customers'
import { customerLanguage, type CustomerLanguage } from '../../core/messages/customers/languages'
import { designIn } from '../../core/form/translation'
import { answersIn } from '../../core/form/answers'
import type { FormDesign } from '../../core/form/design'
import { designOfVersion, findForm, findFormBySlug, type Form } from '../data/forms'
import { findReceipt, type Receipt } from '../data/receipts'
import { findProductByTitle, productWithSku, type Product } from '../data/products'
import { findShop, type Shop } from '../data/shops'
import { pendingPhotos, releasePendingPhotos } from '../media/pendingPhotos'
import type { Services } from '../services'
import { hashToken, issueFormToken, readFormToken } from './formToken'
import { askForWork, workDone } from './proofOfWork'
import { productChoices, type ProductChoices } from './productChoices'
import { asCustomer } from '../../core/moderation/actor'
import { receiveOne } from './receive'
import { trialIntake } from './trials'

/** A title with a SKU. */
const MAX_PRODUCT_NAME = 320

export interface CustomerForm {
  form: Form
  /** Whether customers can write through it now. */
  isOpen: boolean
  isRemoved: boolean
  /** Whether a member tries it; what she sends is a test review. */
  isTrial: boolean
  shop: Shop
  /** Those on offer; of many the most used ones. */
  products: ProductChoices
  /** What it shows and accepts: its published design, or the one that a customer began with. */
  design: FormDesign
  /** The product that a customer names, by a SKU, also an earlier one or that of a retired product, or by its title. */
  findProduct: (named: string) => Promise<Product | null>
}

/** @param version the number of the design that the customer sees; by default the published one */
export async function openForm(
  services: Services,
  slug: string,
  version?: number,
): Promise<CustomerForm | null> {
  const { db, now } = services
  const form = await findFormBySlug(db, slug)
  if (!form || form.state === 'draft') return null
  const begun = version === undefined ? null : await designOfVersion(db, form, version)
  const shop = await findShop(db, form.shopId)
  return customerForm(services, shop, form, {
    design: begun ?? form.design,
    isOpen: isOpenAt(form, shop, now()),
    isTrial: false,
  })
}

/** The draft of a form, for a member who tries it; null if the shop has no such form. */
export async function formToTry(
  services: Services,
  shop: Shop,
  publicId: string,
): Promise<CustomerForm | null> {
  const form = await findForm(services.db, shop.id, publicId)
  return form && customerForm(services, shop, form, { design: form.draft, isOpen: true, isTrial: true })
}

async function customerForm(
  { db }: Services,
  shop: Shop,
  form: Form,
  as: Pick<CustomerForm, 'design' | 'isOpen' | 'isTrial'>,
): Promise<CustomerForm> {
  return {
    ...as,
    form,
    isRemoved: form.removedAt !== null,
    shop,
    products: await productChoices(db, shop.id, { onOffer: true }),
    findProduct: (named) => findNamedProduct(db, shop.id, named),
  }
}

/** In a field with suggestions a customer types or chooses a title, with the SKU behind it if several have that title. */
async function findNamedProduct(db: Knex, shopId: number, named: string): Promise<Product | null> {
  const typed = named.trim()
  if (typed === '' || typed.length > MAX_PRODUCT_NAME) return null
  const inBrackets = /\(([^()]+)\)$/.exec(typed)?.[1]
  return (
    (await productWithSku(db, shopId, typed)) ??
    (await findProductByTitle(db, shopId, typed)) ??
    (inBrackets ? await productWithSku(db, shopId, inBrackets) : null) ??
    null
  )
}

/** Its last day counts as a whole, in the shop's time zone. */
export const isOpenAt = (
  { state, lastDay, removedAt }: Pick<Form, 'state' | 'lastDay' | 'removedAt'>,
  { timeZone }: Pick<Shop, 'timeZone'>,
  now: Date,
): boolean =>
  removedAt === null && state === 'open' && (lastDay === '' || dayIn(timeZone, now.toISOString()) <= lastDay)

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
export const consentText = (
  shop: Shop,
  { consent }: Pick<FormDesign, 'consent'>,
  language: CustomerLanguage,
): string => consent.label.trim() || customerTranslate(language)('form.consent', { shop: shop.shortName })

export async function submitForm(
  services: Services,
  { form, shop, design, isTrial, findProduct }: CustomerForm,
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
  const read = language ?? customerLanguage(shop.locale) ?? 'en'
  const product = await findProduct(design.product.fixed || submission.product)
  const candidate: Candidate = {
    source: isTrial ? 'trial' : 'form',
    formId: form.id,
    identity: fillSeconds === null ? { by: 'nothing' } : { by: 'token', token },
    tokenGood: fillSeconds !== null,
    writers: product?.writers ?? form.writers,
    workMissing: lacksWork(suspicion, work !== undefined, done),
    trapSprung: (submission[TRAP_FIELD] ?? '') !== '',
    fillSeconds,
    // An address of our own network belongs to a proxy, not to the writer.
    ip: isLocalAddress(ip) ? '' : ip,
    rating: submission.rating === null ? null : { value: submission.rating, scale: 5 },
    title: submission.title,
    body: submission.body,
    authorName: submission.author_name,
    authorEmail: submission.author_email,
    orderNumber: submission.order_number,
    productSku: product?.sku ?? '',
    writtenAt: null,
    arrivesAs: isTrial ? 'waiting' : form.arrivesAs,
    about: {
      ...aboutIn(submission),
      ...(announcesCoupon(design) && { relationship: customerTranslate(read)('form.discounted') }),
    },
    photos: await releasePendingPhotos(services, form, submission.media),
    note: '',
    tags: form.tag ? [form.tag] : [],
    answers: answersIn(design, submission),
    posted: null,
    evidence: [],
    customerLanguage: language,
    consent: {
      answer: submission.consent ? 'given' : 'refused',
      text: consentText(shop, designIn(design, read), read),
    },
  }
  return receiveOne(services, shop, asCustomer, candidate, isTrial ? await trialIntake(services, form) : null)
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
