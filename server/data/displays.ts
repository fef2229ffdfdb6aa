import type { Knex } from 'knex'
import { configurationSchema, type Configuration } from '../../core/display/configuration'
import { counted } from './counted'

export interface Display {
  id: number
  shopId: number
  key: string
  name: string
  draft: DisplayVersion
  live: DisplayVersion | null
}

export interface DisplayVersion {
  id: number
  number: number
  configuration: Configuration
  savedAt: string
  publishedAt: string | null
}

interface VersionRow {
  id: number
  number: number
  configuration: string
  savedAt: string
  publishedAt: string | null
}
interface DisplayRow {
  id: number
  shopId: number
  key: string
  name: string
  draftVersionId: number
  liveVersionId: number | null
}

const displayColumns = {
  id: 'id',
  shopId: 'shop_id',
  key: 'key',
  name: 'name',
  draftVersionId: 'draft_version_id',
  liveVersionId: 'live_version_id',
}

async function findVersion(db: Knex, shopId: number, id: number): Promise<DisplayVersion> {
  const row: VersionRow = await db('display_version')
    .where({ shop_id: shopId, id })
    .first('id', 'number', 'configuration', { savedAt: 'saved_at' }, { publishedAt: 'published_at' })
  return { ...row, configuration: configurationSchema.parse(JSON.parse(row.configuration)) }
}

async function withVersions(db: Knex, row: DisplayRow): Promise<Display> {
  const { draftVersionId, liveVersionId, ...display } = row
  return {
    ...display,
    draft: await findVersion(db, row.shopId, draftVersionId),
    live: liveVersionId === null ? null : await findVersion(db, row.shopId, liveVersionId),
  }
}

export async function findDisplay(
  db: Knex,
  shopId: number,
  which: { key: string } | { id: number },
): Promise<Display | null> {
  const row: DisplayRow | undefined = await db('display')
    .where({ shop_id: shopId, ...which })
    .first(displayColumns)
  return row ? withVersions(db, row) : null
}

export async function displaysOfShop(db: Knex, shopId: number): Promise<Display[]> {
  const rows: DisplayRow[] = await db('display')
    .where({ shop_id: shopId })
    .orderBy('id')
    .select(displayColumns)
  return Promise.all(rows.map((row) => withVersions(db, row)))
}

export async function countDisplays(db: Knex, shopId: number): Promise<number> {
  return counted(db('display').where({ shop_id: shopId }))
}

/** Starts a display as a draft. */
export async function insertDisplay(
  trx: Knex.Transaction,
  display: {
    shopId: number
    publicId: string
    key: string
    name: string
    configuration: Configuration
    now: string
  },
): Promise<number> {
  const [id] = await trx('display').insert({
    shop_id: display.shopId,
    public_id: display.publicId,
    key: display.key,
    name: display.name,
    created_at: display.now,
  })
  await startDraft(trx, { id: id!, shopId: display.shopId }, display.configuration, display.now)
  return id!
}

/** Gives a display a new version as its draft. */
export async function startDraft(
  trx: Knex.Transaction,
  { id, shopId }: Pick<Display, 'id' | 'shopId'>,
  configuration: Configuration,
  now: string,
): Promise<void> {
  const last = await trx('display_version')
    .where({ shop_id: shopId, display_id: id })
    .max({ number: 'number' })
    .first<{ number: number | null }>()
  const [versionId] = await trx('display_version').insert({
    shop_id: shopId,
    display_id: id,
    number: (last.number ?? 0) + 1,
    configuration: JSON.stringify(configuration),
    saved_at: now,
  })
  await trx('display').where({ shop_id: shopId, id }).update({ draft_version_id: versionId })
}

/** Changes the draft that a display has beside what is live. */
export async function updateDraft(
  trx: Knex.Transaction,
  { shopId, draft }: Display,
  configuration: Configuration,
  now: string,
): Promise<void> {
  await trx('display_version')
    .where({ shop_id: shopId, id: draft.id })
    .update({ configuration: JSON.stringify(configuration), saved_at: now })
}

/** Makes the draft's version the one that visitors see. */
export async function putDraftLive(
  trx: Knex.Transaction,
  { id, shopId, draft }: Display,
  now: string,
): Promise<void> {
  await trx('display_version').where({ shop_id: shopId, id: draft.id }).update({ published_at: now })
  await trx('display').where({ shop_id: shopId, id }).update({ live_version_id: draft.id })
}

/** The ids of displays that visitors can see now. */
export async function liveDisplayIds(db: Knex, shopId: number): Promise<number[]> {
  return db('display').where({ shop_id: shopId }).whereNotNull('live_version_id').pluck('id')
}

/** Every display of the installation that visitors can see, for work that is about the installation. */
export async function allLiveDisplays(db: Knex): Promise<{ id: number; shopId: number }[]> {
  return db('display').whereNotNull('live_version_id').select('id', { shopId: 'shop_id' })
}

export async function isDisplayKeyTaken(db: Knex, key: string): Promise<boolean> {
  return (await db('display').where({ key }).first('id')) !== undefined
}
