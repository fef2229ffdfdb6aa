import { z } from 'zod'
import { asMember } from '../core/moderation/actor'
import { insertProduct } from '../server/data/products'
import { existsSync, rmSync } from 'node:fs'
import { originsAt } from '../core/listing/origins'
import { plainAct, type ReviewAct } from '../core/moderation/reviewAct'
import { manualEntrySchema } from '../core/intake/manualEntry'
import { normalizeText } from '../core/formats/normalizeText'
import type { PhotoRef } from '../core/intake/photos'
import { answerFields } from '../core/form/answers'
import { TRAP_FIELD } from '../core/intake/submission'
import { orderNumberKey } from '../core/proof/orderNumber'
import { hashPassword } from '../server/account/password'
import { openForm, submitForm } from '../server/collection/customerForm'
import { writeDown } from '../server/collection/writeDown'
import { storePicture } from '../server/media/storePicture'
import { storePendingPhoto } from '../server/media/pendingPhotos'
import { issueFormToken } from '../server/collection/formToken'
import { databaseFile, mediaFolder, signingKey } from '../server/dataFolder'
import { openDatabase } from '../server/data/database'
import { insertDisplay } from '../server/data/displays'
import { designSchema } from '../core/form/design'
import { formsOfShop, insertForm, updateForm } from '../server/data/forms'
import { insertMember, type Member } from '../server/data/members'
import { findReview } from '../server/data/reviewReading'
import { findShop, insertMembership, insertShop, type Shop } from '../server/data/shops'
import { jobKinds } from '../server/jobKinds'
import { startJobRunner } from '../server/jobs/runner'
import { inlineWorkers } from '../server/workers/inline'
import { decide } from '../server/moderation/decide'
import { makeLive } from '../server/publishing/draft'
import { loadLiveDisplays } from '../server/http/liveDisplays'
import { buildServices, type Services } from '../server/services'
import { connectListings } from './listings'
import { photographed } from './photographed'
import { helper, owner, type MemberStory } from './members'
import { saltmarsh } from './saltmarsh/shop'
import type { DisplayStory, ReviewStory, ShopStory } from './story'
import { wrenfield } from './wrenfield/shop'

const DAY_MS = 86_400_000

/**
 * Fills a data folder with the demo shops. Reviews and decisions pass through the real use cases at their own
 * times, so signals, verifications, counts and log are real.
 */
export async function fillDemo(
  folder: string,
  {
    publicUrl,
    siteUrl,
    secret,
    argon,
    now = new Date(),
    given = {},
  }: {
    publicUrl: string
    /** Without a trailing slash. */
    siteUrl: string
    secret: string | null
    argon?: Services['argon']
    /** The end of the made-up past. */
    now?: Date
    /** Replaces the way out and chance, for tests. */
    given?: Partial<Pick<Services, 'fetchOutside' | 'origins' | 'newId' | 'newSecret'>>
  },
): Promise<void> {
  const file = databaseFile(folder)
  for (const part of [file, `${file}-wal`, `${file}-shm`]) if (existsSync(part)) rmSync(part)
  const end = now.getTime()
  let clock = end - 800 * DAY_MS
  const db = await openDatabase(file)
  // An interrupted fill starts over, so it need not wait for the disk.
  await db.raw('PRAGMA synchronous = OFF')
  const services: Services = buildServices({
    db,
    workers: inlineWorkers(() => services),
    publicUrl,
    mediaFolder: mediaFolder(folder),
    signingKey: signingKey(folder, secret),
    now: () => new Date(clock),
    origins: originsAt(siteUrl),
    allowedHosts: [new URL(siteUrl).host],
    ...given,
    ...(argon && { argon }),
  })
  const at = (daysAgo: number) => {
    clock = Math.max(clock, end - daysAgo * DAY_MS)
  }

  const doJobs = async () => {
    const jobs = startJobRunner(services, jobKinds(services, await loadLiveDisplays(db)))
    await jobs.drain()
    await jobs.stop()
  }
  const mara = await addMember(services, owner)
  const ned = await addMember(services, helper)
  for (const [story, members] of [
    [wrenfield, [mara]],
    [saltmarsh, [mara, ned]],
  ] as const) {
    clock = end - 800 * DAY_MS
    const shop = await addShop(services, story, siteUrl, members, now)
    for (const review of story.reviews.toSorted((a, b) => b.came - a.came)) {
      at(review.came)
      await tell(services, shop, mara, story, review, at)
    }
    clock = end
    // Earlier reviews came while anyone could write, so no confirmation was requested.
    const { form } = (await openForm(services, story.form.slug))!
    await updateForm(db, shop.id, form.publicId, { writers: story.form.writers })
    const connected = await connectListings(services, shop, mara, story.listings, doJobs)
    for (const display of story.displays) {
      await addDisplay(services, shop, display, { siteUrl, connected })
      if (display.live) await makeLive(services, shop, asMember(mara), display.key)
    }
  }

  clock = end
  await doJobs()
  await db.destroy()
}

async function addMember(services: Services, { name, email, password }: MemberStory): Promise<Member> {
  const id = await insertMember(services.db, {
    publicId: services.newId(),
    name,
    email,
    passwordHash: await hashPassword(services, password),
    createdAt: services.now().toISOString(),
  })
  return { id, name, email }
}

async function addShop(
  services: Services,
  story: ShopStory,
  siteUrl: string,
  members: readonly Member[],
  now: Date,
): Promise<Shop> {
  const { db, newId } = services
  const shopId = await insertShop(
    db,
    { publicId: newId(), ...story.shop, siteUrl: `${siteUrl}${story.shop.siteUrl}` },
    services.now().toISOString(),
  )
  for (const member of members) await insertMembership(db, member.id, shopId)
  const { slug, heading, intro } = story.form
  await insertForm(db, {
    shopId,
    publicId: newId(),
    name: 'Shop form',
    slug,
    writers: 'anyone',
    design: designSchema.parse({ schema: 1, heading, intro }),
    now: services.now().toISOString(),
  })
  for (const more of story.moreForms)
    await insertForm(db, {
      ...more,
      shopId,
      publicId: newId(),
      writers: 'anyone',
      now: services.now().toISOString(),
    })
  const productIds = new Map<string, number>()
  for (const [sku, title] of Object.entries(story.products)) {
    const drawn = story.pictures.products[sku]
    const picture = drawn ? await storePicture(services, shopId, drawing(drawn)) : null
    productIds.set(sku, await insertProduct(db, shopId, newId(), { sku, title, picture }))
  }
  for (const order of story.orders) {
    const placedAt = new Date(now.getTime() - order.placed * DAY_MS)
    const [purchaseId] = await db('purchase').insert({
      shop_id: shopId,
      public_id: newId(),
      number: order.number,
      number_key: orderNumberKey(order.number),
      email: emailOf(order.name),
      email_key: emailOf(order.name),
      name: order.name,
      placed_at: placedAt.toISOString(),
    })
    const deliveredAt =
      order.arrivedAfter === undefined ? null : new Date(placedAt.getTime() + order.arrivedAfter * DAY_MS)
    await db('purchase_line').insert(
      order.skus.map((sku) => ({
        shop_id: shopId,
        purchase_id: purchaseId,
        product_id: productIds.get(sku),
        status: order.status,
        delivered_at: deliveredAt?.toISOString() ?? null,
      })),
    )
  }
  return findShop(db, shopId)
}

async function addDisplay(
  { db, newId, now }: Services,
  shop: Shop,
  { key, name, path, configuration, listings = [], forms = [] }: DisplayStory,
  { siteUrl, connected }: { siteUrl: string; connected: Map<string, string> },
): Promise<void> {
  const shown = listings.flatMap((id) => connected.get(id) ?? [])
  const through = (await formsOfShop(db, shop.id)).filter(({ slug }) => forms.includes(slug))
  const selection = {
    ...configuration.selection,
    listings: shown,
    forms: through.map(({ publicId }) => publicId),
  }
  const placement = { ...configuration.placement, url: `${siteUrl}${path}` }
  await db.transaction((trx) =>
    insertDisplay(trx, {
      shopId: shop.id,
      publicId: newId(),
      key,
      name,
      configuration: { ...configuration, selection, placement },
      now: now().toISOString(),
    }),
  )
}

async function tell(
  services: Services,
  shop: Shop,
  member: Member,
  story: ShopStory,
  review: ReviewStory,
  at: (daysAgo: number) => void,
): Promise<void> {
  const publicId = review.byHand
    ? await writtenDown(services, shop, member, story, review)
    : await sent(services, story, review)
  const act = async (chosen: ReviewAct) => {
    const { revision } = (await findReview(services.db, shop.id, { publicId }))!
    await decide(services, shop, asMember(member), publicId, chosen, revision)
  }
  at(Math.max(0.01, review.came - 0.3))
  if (review.then) await act(plainAct(review.then))
  at(Math.max(0.005, review.came - 0.6))
  if (review.reply) await act({ kind: 'reply', reply: review.reply })
}

async function sent(services: Services, story: ShopStory, review: ReviewStory): Promise<string> {
  const slug = review.through?.form ?? story.form.slug
  const form = await openForm(services, slug)
  if (!form) throw new Error(`the form ${slug} is missing`)
  const opened = new Date(services.now().getTime() - review.took * 1000)
  const token = issueFormToken(services.signingKey, form.form.publicId, services.newId(), opened)
  const answers = z.object(answerFields(form.design)).parse(review.through?.answers ?? {})
  const { publicId } = await submitForm(services, form, {
    ...answers,
    rating: review.rating,
    title: review.title ?? '',
    body: review.body,
    author_name: review.name,
    author_email: review.email ?? emailOf(review.name),
    order_number: review.order ?? '',
    product: review.product ?? '',
    consent: review.mayShow !== false,
    media: await photosSent(services, form.form, review),
    token: review.odd === 'noToken' ? undefined : token,
    [TRAP_FIELD]: review.odd === 'trap' ? review.email : '',
  })
  return publicId
}

async function photosSent(
  services: Services,
  form: { id: number; shopId: number },
  { name, photos = [] }: ReviewStory,
): Promise<PhotoRef[]> {
  const refs: PhotoRef[] = []
  for (const { drawn, shows } of photos) {
    const stored = await storePendingPhoto(services, form, await photographed(drawn), 'demo')
    if (!('key' in stored)) throw new Error(`a photo of ${name} is refused: ${JSON.stringify(stored)}`)
    refs.push({ key: stored.key, alt: shows })
  }
  return refs
}

async function writtenDown(
  services: Services,
  shop: Shop,
  member: Member,
  story: ShopStory,
  { name, rating, title, body, product, byHand }: ReviewStory,
): Promise<string> {
  const today = services.now().toISOString().slice(0, 10)
  const portrait = story.pictures.portraits[byHand?.portrait ?? '']
  const entry = manualEntrySchema(Object.keys(story.products), today).parse({
    rating: rating === null ? '' : String(rating),
    title,
    body,
    author_name: name,
    role: byHand?.role,
    company: byHand?.company,
    product,
    portrait: portrait && drawing(portrait),
    written_at: today,
    consent: 'on',
  })
  return (await writeDown(services, shop, asMember(member), entry)).publicId
}

const drawing = (svg: string) => `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`

function emailOf(name: string): string {
  const parts = normalizeText(name)
    .replace(/[^a-z\s]/g, '')
    .split(/\s+/)
    .filter(Boolean)
  return `${parts[0]}@${parts.slice(1).join('') || 'post'}.example`
}
