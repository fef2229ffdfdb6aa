import type { Actor } from '../../core/moderation/actor'
import type { Knex } from 'knex'
import { firstFree, slugOf } from '../../core/account/slug'
import type { Configuration } from '../../core/display/configuration'
import type { Measure } from '../../core/display/measures'
import { say } from '../../core/messages/say/everything'
import { appendDecision } from '../data/decisions'
import {
  findDisplay,
  insertDisplay,
  isDisplayKeyTaken,
  putAddress,
  putMeasured,
  renameDisplay,
  publishedVersions,
  putOffline,
  putVersionLive,
  setRemoved,
  type Display,
} from '../data/displays'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { storePicture } from '../media/storePicture'
import type { Services } from '../services'
import { saveDraft } from './draft'
import type { Publication } from './published'
import { markStale } from './staleDisplays'

export const DISPLAY_NAME_LIMIT = 80
/** Large enough for previews of shared links. */
const SHARED_PX = 1200

/** Creates a display with an unused key. Returns the key. */
export async function addDisplay(
  { db, now, newId, changes }: Services,
  shop: Shop,
  name: string,
  configuration: Configuration,
): Promise<string> {
  const key = await writing(db, async (trx) => {
    const key = await firstFree(slugOf(`${shop.slug} ${name}`), (taken) => isDisplayKeyTaken(trx, taken))
    await insertDisplay(trx, {
      shopId: shop.id,
      publicId: newId(),
      key,
      name,
      configuration,
      now: now().toISOString(),
    })
    return key
  })
  changes.announce(shop.id)
  return key
}

/** Copies a display as a draft. Returns its key, or null if there is nothing to copy. */
export async function copyDisplay(services: Services, shop: Shop, key: string): Promise<string | null> {
  const display = await findDisplay(services.db, shop.id, { key })
  if (!display) return null
  const name = say('show.copyOf', { name: display.name }).slice(0, DISPLAY_NAME_LIMIT)
  return addDisplay(services, shop, name, display.draft.configuration)
}

/** Changes a display in a transaction and notifies open tabs. Returns whether the display exists. */
async function changeDisplay(
  { db, changes }: Services,
  shop: Shop,
  key: string,
  change: (trx: Knex.Transaction, display: Display) => Promise<void>,
): Promise<boolean> {
  const done = await writing(db, async (trx) => {
    const display = await findDisplay(trx, shop.id, { key })
    if (display) await change(trx, display)
    return display !== null
  })
  if (done) changes.announce(shop.id)
  return done
}

export function rename(services: Services, shop: Shop, key: string, name: string): Promise<boolean> {
  return changeDisplay(services, shop, key, (trx, display) => renameDisplay(trx, display, name))
}

/** Stores the heights in the copied embed code, to warn when they no longer fit. */
export function keepMeasured(
  services: Services,
  shop: Shop,
  key: string,
  measured: Measure[],
): Promise<boolean> {
  return changeDisplay(services, shop, key, (trx, display) => putMeasured(trx, display, measured))
}

/** Stores the picture for shared links and sets it in the draft. */
export async function setSharingPicture(
  services: Services,
  shop: Shop,
  key: string,
  picture: string,
  tab = '',
): Promise<boolean> {
  const display = await findDisplay(services.db, shop.id, { key })
  if (!display) return false
  const name = (await storePicture(services, shop.id, picture, SHARED_PX)) ?? ''
  const configuration = { ...display.draft.configuration, picture: name }
  return (await saveDraft(services, shop, key, configuration, { tab, base: null })) !== null
}

/**
 * Sets the address of a display's page. Returns an unused one as a suggestion if it is taken, null if it was
 * saved.
 */
export async function setAddress(
  { db, now, changes, wakeJobs }: Services,
  shop: Shop,
  key: string,
  wanted: string,
): Promise<{ taken: string } | null> {
  const outcome = await writing(db, async (trx) => {
    const display = await findDisplay(trx, shop.id, { key })
    if (!display) return null
    const address = wanted === '' || wanted === key ? null : wanted
    if (address === display.address) return null
    if (address !== null && (await isDisplayKeyTaken(trx, address)))
      return { taken: await firstFree(address, (name) => isDisplayKeyTaken(trx, name)) }
    await putAddress(trx, display, address)
    if (display.live) await markStale(trx, shop.id, display.id, now().toISOString())
    return null
  })
  changes.announce(shop.id)
  wakeJobs()
  return outcome
}

/** What was unpublished or removed, and whether it was published. */
interface TakenOff {
  name: string
  wasLive: boolean
}

/** Unpublishes a display. Returns null if there is none. */
export async function takeDown(
  services: Services,
  publication: Publication,
  shop: Shop,
  actor: Actor,
  key: string,
): Promise<TakenOff | null> {
  const off = await writing(services.db, (trx) => offline(services, trx, shop, actor, key))
  if (off) publication.remove(key)
  services.changes.announce(shop.id)
  return off
}

/** Unpublishes and removes a display. Returns null if there is none. */
export async function remove(
  services: Services,
  publication: Publication,
  shop: Shop,
  actor: Actor,
  key: string,
): Promise<TakenOff | null> {
  const off = await writing(services.db, async (trx) => {
    const off = await offline(services, trx, shop, actor, key)
    if (off) await setRemoved(trx, shop.id, key, services.now().toISOString())
    return off
  })
  if (off) publication.remove(key)
  services.changes.announce(shop.id)
  return off
}

async function offline(
  { now }: Services,
  trx: Knex.Transaction,
  shop: Shop,
  actor: Actor,
  key: string,
): Promise<TakenOff | null> {
  const display = await findDisplay(trx, shop.id, { key })
  if (!display) return null
  const { name, live } = display
  if (live) {
    await putOffline(trx, display)
    await logDisplay(trx, 'unpublish', shop, actor, display, live.id, null, now().toISOString())
  }
  return { name, wasLive: live !== null }
}

/** Restores a removed or unpublished display, published as it was. Returns its name. */
export async function restoreDisplay(
  services: Services,
  shop: Shop,
  actor: Actor,
  key: string,
  live: boolean,
): Promise<string | null> {
  const { db, changes, wakeJobs } = services
  const now = services.now().toISOString()
  const name = await writing(db, async (trx) => {
    await setRemoved(trx, shop.id, key, null)
    const display = await findDisplay(trx, shop.id, { key })
    if (!display) return null
    const [latest] = live && !display.live ? await publishedVersions(trx, shop.id, display.id) : []
    if (latest) {
      await putVersionLive(trx, display, latest.id)
      await logDisplay(trx, 'publish', shop, actor, display, null, latest.id, now)
      await markStale(trx, shop.id, display.id, now)
    }
    return display.name
  })
  changes.announce(shop.id)
  wakeJobs()
  return name
}

async function logDisplay(
  trx: Knex.Transaction,
  act: 'publish' | 'unpublish',
  shop: Shop,
  actor: Actor,
  display: Display,
  before: number | null,
  after: number | null,
  at: string,
): Promise<void> {
  await appendDecision(trx, {
    shopId: shop.id,
    act,
    actor,
    displayId: display.id,
    before: { versionId: before },
    after: { versionId: after },
    digest: '',
    at,
  })
}
