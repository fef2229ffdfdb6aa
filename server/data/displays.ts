import type { Knex } from 'knex'
import type { Configuration } from '../../core/display/configuration'
import { measuresSchema, type Measure } from '../../core/display/measures'
import { readConfiguration } from '../../core/display/readConfiguration'
import { countRows } from './countRows'

export interface Display {
  id: number
  shopId: number
  key: string
  name: string
  /** A second address of its page, chosen by the owner. */
  address: string | null
  /** Its measured height at each width, for the embed code. */
  measured: Measure[]
  draft: DisplayVersion
  live: DisplayVersion | null
}

export interface DisplayVersion {
  id: number
  number: number
  configuration: Configuration
  savedAt: string
  publishedAt: string | null
  /** The browser tab that saved it last. */
  tab: string
}

export interface VersionRow {
  id: number
  number: number
  configuration: string
  savedAt: string
  publishedAt: string | null
  tab: string
}
interface DisplayRow {
  id: number
  shopId: number
  key: string
  name: string
  address: string | null
  measured: string
  draftVersionId: number
  liveVersionId: number | null
}

const displayColumns = {
  id: 'id',
  shopId: 'shop_id',
  key: 'key',
  name: 'name',
  address: 'address',
  measured: 'measured',
  draftVersionId: 'draft_version_id',
  liveVersionId: 'live_version_id',
}
export const versionColumns = {
  id: 'display_version.id',
  number: 'number',
  configuration: 'configuration',
  savedAt: 'saved_at',
  tab: 'tab',
  publishedAt: 'published_at',
}

/** Null if its configuration can't be read: a later version of the application can have written it. */
export function readVersion(row: VersionRow): DisplayVersion | null {
  const configuration = readConfiguration(row.configuration)
  return configuration && { ...row, configuration }
}

async function findVersion(db: Knex, shopId: number, id: number): Promise<DisplayVersion | null> {
  return readVersion(await db('display_version').where({ shop_id: shopId, id }).first(versionColumns))
}

/** Null if a version can't be read. */
async function withVersions(db: Knex, row: DisplayRow): Promise<Display | null> {
  const { draftVersionId, liveVersionId, measured, ...rest } = row
  const measures = measuresSchema.safeParse(JSON.parse(measured))
  const display = { ...rest, measured: measures.data ?? [] }
  const draft = await findVersion(db, row.shopId, draftVersionId)
  if (!draft) return null
  if (liveVersionId === null) return { ...display, draft, live: null }
  const live = liveVersionId === draftVersionId ? draft : await findVersion(db, row.shopId, liveVersionId)
  return live && { ...display, draft, live }
}

export async function findDisplay(
  db: Knex,
  shopId: number,
  which: { key: string } | { id: number },
): Promise<Display | null> {
  const row: DisplayRow | undefined = await db('display')
    .where({ shop_id: shopId, ...which })
    .whereNull('removed_at')
    .first(displayColumns)
  return row ? withVersions(db, row) : null
}

const ofShop = (db: Knex, shopId: number, words = '') => {
  const query = db('display').where({ 'display.shop_id': shopId }).whereNull('display.removed_at')
  return words.trim() === '' ? query : query.whereRaw('instr(lower(name), lower(?)) > 0', words.trim())
}

interface DisplayQuery {
  /** In its name; empty for all. */
  words?: string
  limit?: number
  offset?: number
}

/** The displays of a shop, and the names of those that can't be read. */
export async function displaysOfShop(
  db: Knex,
  shopId: number,
  { words, limit, offset = 0 }: DisplayQuery = {},
): Promise<{ displays: Display[]; unreadable: Pick<Display, 'key' | 'name'>[] }> {
  const query = ofShop(db, shopId, words).orderBy('display.id')
  if (limit !== undefined) query.limit(limit).offset(offset)
  const rows: DisplayRow[] = await query.select(displayColumns)
  const read = await Promise.all(rows.map((row) => withVersions(db, row)))
  return {
    displays: read.filter((display) => display !== null),
    unreadable: rows.filter((_, i) => read[i] === null).map(({ key, name }) => ({ key, name })),
  }
}

/** How many displays a shop has, how many of them are published, and how many of these have another draft. */
export async function displayCounts(
  db: Knex,
  shopId: number,
  words = '',
): Promise<{ matching: number; all: number; live: number; differing: number }> {
  const row = await ofShop(db, shopId)
    .leftJoin('display_version AS draft', 'draft.id', 'draft_version_id')
    .leftJoin('display_version AS live', 'live.id', 'live_version_id')
    .first<{ all: number; live: number; differing: number | null }>(
      db.raw('count(*) AS "all"'),
      db.raw('count(live.id) AS live'),
      db.raw('sum(live.configuration <> draft.configuration) AS differing'),
    )
  return {
    matching: words.trim() === '' ? row.all : await countRows(ofShop(db, shopId, words)),
    all: row.all,
    live: row.live,
    differing: row.differing ?? 0,
  }
}

/** The published configurations of a shop that differ in what they select, the latest ones first. */
export async function liveConfigurations(db: Knex, shopId: number, limit: number): Promise<Configuration[]> {
  const rows: { configuration: string }[] = await ofShop(db, shopId)
    .join('display_version AS live', 'live.id', 'live_version_id')
    .groupByRaw("json_extract(live.configuration, '$.selection')")
    .orderByRaw('max(live.id) DESC')
    .limit(limit)
    .select('live.configuration')
  return rows.flatMap(({ configuration }) => readConfiguration(configuration) ?? [])
}

/** The oldest display of a shop. */
export async function firstDisplay(db: Knex, shopId: number): Promise<{ key: string; live: boolean } | null> {
  const row = await db('display')
    .where({ shop_id: shopId })
    .whereNull('removed_at')
    .orderBy('id')
    .first<Pick<DisplayRow, 'key' | 'liveVersionId'> | undefined>(displayColumns)
  return row ? { key: row.key, live: row.liveVersionId !== null } : null
}

export async function countDisplays(db: Knex, shopId: number): Promise<number> {
  return countRows(db('display').where({ shop_id: shopId }).whereNull('removed_at'))
}

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

/** Creates a version as the display's draft. */
export async function startDraft(
  trx: Knex.Transaction,
  { id, shopId }: Pick<Display, 'id' | 'shopId'>,
  configuration: Configuration,
  now: string,
  tab = '',
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
    tab,
  })
  await trx('display').where({ shop_id: shopId, id }).update({ draft_version_id: versionId })
}

/** Changes the draft beside the published version. */
export async function updateDraft(
  trx: Knex.Transaction,
  { shopId, draft }: Display,
  configuration: Configuration,
  now: string,
  tab = '',
): Promise<void> {
  await trx('display_version')
    .where({ shop_id: shopId, id: draft.id })
    .update({ configuration: JSON.stringify(configuration), saved_at: now, tab })
}

/** Publishes the draft. */
export async function putDraftLive(
  trx: Knex.Transaction,
  { id, shopId, draft }: Display,
  memberId: number | null,
  now: string,
): Promise<void> {
  await trx('display_version')
    .where({ shop_id: shopId, id: draft.id })
    .update({ published_at: now, published_by: memberId })
  await trx('display').where({ shop_id: shopId, id }).update({ live_version_id: draft.id })
}

/** Publishes an earlier version again. */
export async function putVersionLive(
  trx: Knex.Transaction,
  { id, shopId }: Pick<Display, 'id' | 'shopId'>,
  versionId: number,
): Promise<void> {
  await trx('display').where({ shop_id: shopId, id }).update({ live_version_id: versionId })
}

/** The published versions, latest first, with who published them. */
export async function publishedVersions(
  db: Knex,
  shopId: number,
  displayId: number,
): Promise<(DisplayVersion & { by: string | null })[]> {
  const rows: (VersionRow & { by: string | null })[] = await db('display_version')
    .leftJoin('member', 'member.id', 'display_version.published_by')
    .where({ shop_id: shopId, display_id: displayId })
    .whereNotNull('published_at')
    .orderBy('number', 'desc')
    .limit(50)
    .select({ ...versionColumns, by: 'member.name' })
  return rows.flatMap(({ by, ...row }) => {
    const version = readVersion(row)
    return version ? [{ ...version, by }] : []
  })
}

/** Unpublishes a display; its versions stay. */
export async function putOffline(trx: Knex.Transaction, { id, shopId }: Display): Promise<void> {
  await trx('snapshot').where({ shop_id: shopId, display_id: id }).delete()
  await trx('display').where({ shop_id: shopId, id }).update({ live_version_id: null, stale: 0 })
}

export async function renameDisplay(
  trx: Knex.Transaction,
  { id, shopId }: Pick<Display, 'id' | 'shopId'>,
  name: string,
): Promise<void> {
  await trx('display').where({ shop_id: shopId, id }).update({ name })
}

export async function putMeasured(
  trx: Knex.Transaction,
  { id, shopId }: Pick<Display, 'id' | 'shopId'>,
  measured: Measure[],
): Promise<void> {
  await trx('display')
    .where({ shop_id: shopId, id })
    .update({ measured: JSON.stringify(measured) })
}

export async function putAddress(
  trx: Knex.Transaction,
  { id, shopId }: Pick<Display, 'id' | 'shopId'>,
  address: string | null,
): Promise<void> {
  await trx('display').where({ shop_id: shopId, id }).update({ address })
}

/** Removes or restores a display. Its key stays reserved. */
export async function setRemoved(
  trx: Knex.Transaction,
  shopId: number,
  key: string,
  removedAt: string | null,
): Promise<void> {
  await trx('display').where({ shop_id: shopId, key }).update({ removed_at: removedAt })
}

/** All published displays of the installation. */
export async function allLiveDisplays(db: Knex): Promise<{ id: number; shopId: number }[]> {
  return db('display').whereNotNull('live_version_id').select('id', { shopId: 'shop_id' })
}

/** Whether a display has this key or address. */
export async function isDisplayKeyTaken(db: Knex, key: string): Promise<boolean> {
  return (await db('display').where({ key }).orWhere({ address: key }).first('id')) !== undefined
}

/** For visitors, who name no shop: the shop of a published display, or null. */
export async function shopOfLiveDisplay(db: Knex, key: string): Promise<number | null> {
  const row = await db('display')
    .where({ key })
    .whereNull('removed_at')
    .whereNotNull('live_version_id')
    .first<{ shopId: number } | undefined>({ shopId: 'shop_id' })
  return row?.shopId ?? null
}
