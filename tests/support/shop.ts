import type { Actor } from '../../core/moderation/actor'
import { insertProduct } from '../../server/data/products'
import { startingDesign } from '../../core/form/startingDesign'
import { insertForm } from '../../server/data/forms'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { insertDisplay } from '../../server/data/displays'
import type { Member } from '../../server/data/members'
import { findShop, type Shop } from '../../server/data/shops'
import { openForm, submitForm, type CustomerForm } from '../../server/collection/customerForm'
import { issueFormToken } from '../../server/collection/formToken'
import { hashPassword } from '../../server/account/password'
import { everything } from '../../core/curation/selection'
import type { ShowableReview } from '../../core/display/showableReview'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import type { Submission } from '../../core/intake/submission'
import { orderNumberKey } from '../../core/proof/orderNumber'
import { jobKinds } from '../../server/jobKinds'
import { startJobRunner } from '../../server/jobs/runner'
import { readPublishable } from '../../server/publishing/publishable'
import type { Publication } from '../../server/publishing/published'
import { buildServices, type Services } from '../../server/services'
import { inlineWorkers } from '../../server/workers/inline'
import { openMigrated } from './prepared'
import { notePlans } from './queryPlans'

/** Publishes to nobody, for tests of what is not published. */
export const nowhere: Publication = {
  put: () => undefined,
  remove: () => undefined,
  forgetVariants: () => undefined,
  latestAsked: () => [],
}

/** All publishable reviews of a shop, newest first. */
export async function allShowable({ db }: Services, shop: Shop): Promise<ShowableReview[]> {
  const publishable = await readPublishable(db, shop)
  return publishable.firstFitting(everything, publishable.size)
}

/** Does all jobs that are due. */
export async function drainJobs(services: Services): Promise<void> {
  const runner = startJobRunner(services, jobKinds(services, nowhere))
  await runner.drain()
  await runner.stop()
}

/** A database in memory with one clock that a test moves; used by the tests beside the use cases. */
export async function testServices(
  more: Partial<Services> = {},
): Promise<{ services: Services; clock: { now: Date } }> {
  const clock = { now: new Date('2026-11-25T12:00:00Z') }
  const db = more.db ?? notePlans(await openMigrated())
  const services: Services = buildServices({
    workers: inlineWorkers(() => services),
    db,
    signingKey: Buffer.from('a key for tests'),
    mediaFolder: path.join(tmpdir(), `elogio-media-${process.pid}`),
    publicUrl: 'https://reviews.wrenfield.example',
    now: () => clock.now,
    argon: { memoryCost: 1024, timeCost: 1 },
    ...more,
  })
  return { services, clock }
}

/** A member, who is an actor too. */
export type TestMember = Member & Extract<Actor, { kind: 'member' }>

export async function addMember(services: Services, name: string): Promise<TestMember> {
  const email = `${name.toLowerCase()}@elogio.example`
  const [id] = await services.db('member').insert({
    public_id: services.newId(),
    email,
    name,
    password_hash: await hashPassword(services, `${name}-secret`),
    created_at: services.now().toISOString(),
  })
  return { id: id!, name, email, ...memberActor(id!) }
}

const memberActor = (memberId: number) => ({ kind: 'member' as const, memberId })

/** A small shop with a form at `/f/SLUG`, one product, one delivered order and one display as a draft. */
export async function addShop(services: Services, slug: string, members: Member[]): Promise<Shop> {
  const { db, newId } = services
  const now = services.now().toISOString()
  const [id] = await db('shop').insert({
    public_id: newId(),
    slug,
    name: `${slug} & Co`,
    short_name: slug,
    own_domains: JSON.stringify([`${slug}.example`]),
    brand: '#e9b949',
    locale: 'en-GB',
    time_zone: 'Europe/London',
    created_at: now,
  })
  for (const member of members)
    await db('membership').insert({ member_id: member.id, shop_id: id, role: 'owner' })
  await insertForm(db, {
    shopId: id!,
    publicId: newId(),
    slug,
    name: 'Shop form',
    writers: 'anyone',
    design: { ...startingDesign, heading: 'How was it?' },
    now,
  })
  const productId = await insertProduct(db, id!, newId(), { sku: 'HK-2', title: 'Hive kit' })
  const [purchaseId] = await db('purchase').insert({
    shop_id: id,
    public_id: newId(),
    number: 'WB-2091',
    number_key: orderNumberKey('WB-2091'),
    email: 'piotr@lis.example',
    email_key: 'piotr@lis.example',
    name: 'Piotr Lis',
    placed_at: '2026-03-02T10:00:00.000Z',
  })
  await db('purchase_line').insert({
    shop_id: id,
    purchase_id: purchaseId,
    product_id: productId,
    status: 'delivered',
    delivered_at: '2026-03-09T10:00:00.000Z',
  })
  await db.transaction((trx) =>
    insertDisplay(trx, {
      shopId: id!,
      publicId: newId(),
      key: `${slug}-page`,
      name: 'Front page',
      configuration: startingConfiguration,
      now,
    }),
  )
  return findShop(db, id!)
}

/** Sends a review through a shop's form a minute after it was opened. */
export async function send(
  services: Services,
  slug: string,
  given: Partial<Submission> = {},
  sent: { ip?: string } = {},
) {
  return sendThrough(services, (await openForm(services, slug))!, given, sent)
}

/** The same for a form that is open in some way. */
export function sendThrough(
  services: Services,
  form: CustomerForm,
  given: Partial<Submission> = {},
  sent: Parameters<typeof submitForm>[3] = {},
) {
  const opened = new Date(services.now().getTime() - 60_000)
  return submitForm(
    services,
    form,
    {
      rating: 4,
      title: '',
      body: 'Cut true and easy to put together.',
      author_name: 'Piotr Lis',
      author_email: 'piotr@lis.example',
      order_number: '',
      product: '',
      consent: true,
      token: issueFormToken(services.signingKey, form.form.publicId, services.newId(), opened),
      website: '',
      media: [],
      ...given,
    },
    sent,
  )
}
