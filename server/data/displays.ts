import type { Knex } from 'knex'
import { z } from 'zod'
import type { Configuration } from '../../core/display/configuration'
import type { Measure } from '../../core/display/measures'
import { countRows } from './countRows'
import { tables } from './schema/tables'
import { insert, nextId, row, whereOf } from './rows'
import { hasRows, maybe, pick, readAll, readFirst, readOne, value, type Selected } from './select'

export const versionColumns = pick(
  tables.displayVersion,
  'id',
  'number',
  'configuration',
  'savedAt',
  'publishedAt',
  'tab',
)
const displayColumns = pick(
  tables.display,
  'id',
  'shopId',
  'key',
  'name',
  'address',
  'measured',
  'draftVersionId',
  'liveVersionId',
)
type VersionRow = Selected<typeof versionColumns>
type DisplayRow = Selected<typeof displayColumns>

export type DisplayVersion = VersionRow & { configuration: Configuration }

export interface Display extends Omit<DisplayRow, 'draftVersionId' | 'liveVersionId'> {
  draft: DisplayVersion
  live: DisplayVersion | null
}

/** Null if its configuration can't be read. */
export const readable = <V extends { configuration: Configuration | null }>({
  configuration,
  ...version
}: V) => (configuration === null ? null : { ...version, configuration })

async function findVersion(db: Knex, shopId: number, id: number): Promise<DisplayVersion | null> {
  return readable(
    await readOne(
      db('display_version').where(whereOf(tables.displayVersion, { shopId, id })),
      versionColumns,
    ),
  )
}

/** Null if a version can't be read. */
async function withVersions(db: Knex, found: DisplayRow): Promise<Display | null> {
  const { draftVersionId, liveVersionId, ...display } = found
  const draft = await findVersion(db, display.shopId, draftVersionId)
  if (!draft) return null
  if (liveVersionId === null) return { ...display, draft, live: null }
  const live = liveVersionId === draftVersionId ? draft : await findVersion(db, display.shopId, liveVersionId)
  return live && { ...display, draft, live }
}

export async function findDisplay(
  db: Knex,
  shopId: number,
  which: { key: string } | { id: number },
): Promise<Display | null> {
  const found = await readFirst(
    db('display').where(whereOf(tables.display, { shopId, removedAt: null, ...which })),
    displayColumns,
  )
  return found ? withVersions(db, found) : null
}

const ofShop = (db: Knex, shopId: number, words = '') => {
  const query = db('display').where({ 'display.shop_id': shopId }).whereNull('display.removed_at')
  return words.trim() === '' ? query : query.whereRaw('instr(lower(name), lower(?)) > 0', words.trim())
}

/** The names of all displays of a shop. */
export const namesOfDisplays = (db: Knex, shopId: number): Promise<{ key: string; name: string }[]> =>
  readAll(ofShop(db, shopId).orderBy('display.id'), pick(tables.display, 'key', 'name'))

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
  const rows = await readAll(query, displayColumns)
  const read = await Promise.all(rows.map((one) => withVersions(db, one)))
  return {
    displays: read.filter((display) => display !== null),
    unreadable: rows.filter((_, i) => read[i] === null).map(({ key, name }) => ({ key, name })),
  }
}

/**
 * How many displays a shop has, how many of them are published, how many of these were seen on a page, and how many
 * have another draft.
 */
export async function displayCounts(
  db: Knex,
  shopId: number,
  words = '',
): Promise<{ matching: number; all: number; live: number; seen: number; differing: number }> {
  const counts = await readOne(
    ofShop(db, shopId)
      .leftJoin('display_version AS draft', 'draft.id', 'draft_version_id')
      .leftJoin('display_version AS live', 'live.id', 'live_version_id'),
    {
      all: value(z.number(), db.raw('count(*)')),
      live: value(z.number(), db.raw('count(live.id)')),
      seen: value(
        z.number(),
        db.raw(
          'ifnull(sum(live.id IS NOT NULL AND EXISTS (SELECT 1 FROM display_seen WHERE display_id = display.id)), 0)',
        ),
      ),
      differing: value(z.number(), db.raw('ifnull(sum(live.configuration <> draft.configuration), 0)')),
    },
  )
  return {
    ...counts,
    matching: words.trim() === '' ? counts.all : await countRows(ofShop(db, shopId, words)),
  }
}

/** The published configurations of a shop that differ in what they select, the latest ones first. */
export async function liveConfigurations(db: Knex, shopId: number, limit: number): Promise<Configuration[]> {
  const rows = await readAll(
    ofShop(db, shopId)
      .join('display_version', 'display_version.id', 'live_version_id')
      .groupByRaw("json_extract(display_version.configuration, '$.selection')")
      .orderByRaw('max(display_version.id) DESC')
      .limit(limit),
    pick(tables.displayVersion, 'configuration'),
  )
  return rows.flatMap(({ configuration }) => configuration ?? [])
}

/** Whether any version of a display was ever published. */
export const wasEverPublished = (db: Knex, shopId: number, displayId: number): Promise<boolean> =>
  hasRows(
    db('display_version')
      .where(whereOf(tables.displayVersion, { shopId, displayId }))
      .whereNotNull('published_at'),
  )

/** The oldest display of a shop. */
export async function firstDisplay(db: Knex, shopId: number): Promise<{ key: string; live: boolean } | null> {
  const first = await readFirst(
    ofShop(db, shopId).orderBy('id'),
    pick(tables.display, 'key', 'liveVersionId'),
  )
  return first ? { key: first.key, live: first.liveVersionId !== null } : null
}

export async function countDisplays(db: Knex, shopId: number): Promise<number> {
  return countRows(ofShop(db, shopId))
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
  const { shopId, publicId, key, name, configuration, now } = display
  const draftVersionId = await nextId(trx, tables.displayVersion)
  const id = await insert(trx, tables.display, {
    shopId,
    publicId,
    key,
    name,
    draftVersionId,
    createdAt: now,
  })
  await startDraft(trx, { id, shopId }, configuration, now)
  return id
}

/** Creates a version as the display's draft. */
export async function startDraft(
  trx: Knex.Transaction,
  { id, shopId }: Pick<Display, 'id' | 'shopId'>,
  configuration: Configuration,
  now: string,
  tab = '',
): Promise<void> {
  const draftVersionId = await insert(trx, tables.displayVersion, {
    shopId,
    displayId: id,
    number: trx.raw('(SELECT ifnull(max(number), 0) + 1 FROM display_version WHERE display_id = ?)', [id]),
    configuration,
    savedAt: now,
    tab,
  })
  await trx('display')
    .where(whereOf(tables.display, { shopId, id }))
    .update(row(tables.display, { draftVersionId }))
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
    .where(whereOf(tables.displayVersion, { shopId, id: draft.id }))
    .update(row(tables.displayVersion, { configuration, savedAt: now, tab }))
}

/** Publishes the draft. */
export async function putDraftLive(
  trx: Knex.Transaction,
  { id, shopId, draft }: Display,
  memberId: number | null,
  now: string,
): Promise<void> {
  await trx('display_version')
    .where(whereOf(tables.displayVersion, { shopId, id: draft.id }))
    .update(row(tables.displayVersion, { publishedAt: now, publishedBy: memberId }))
  await putVersionLive(trx, { id, shopId }, draft.id)
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
  const rows = await readAll(
    db('display_version')
      .leftJoin('member', 'member.id', 'display_version.published_by')
      .where(whereOf(tables.displayVersion, { shopId, displayId }))
      .whereNotNull('published_at')
      .orderBy('number', 'desc')
      .limit(50),
    { ...versionColumns, by: maybe(tables.member.name) },
  )
  return rows.flatMap((version) => readable(version) ?? [])
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
    .where(whereOf(tables.display, { shopId, id }))
    .update(row(tables.display, { measured }))
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
  return readAll(db('display').whereNotNull('live_version_id'), pick(tables.display, 'id', 'shopId'))
}

/** Whether a display has this key or address. */
export async function isDisplayKeyTaken(db: Knex, key: string): Promise<boolean> {
  return hasRows(db('display').where({ key }).orWhere({ address: key }))
}

/** For visitors, who name no shop: the shop of a published display, or null. */
export async function shopOfLiveDisplay(db: Knex, key: string): Promise<number | null> {
  const found = await readFirst(
    db('display')
      .where(whereOf(tables.display, { key, removedAt: null }))
      .whereNotNull('live_version_id'),
    pick(tables.display, 'shopId'),
  )
  return found?.shopId ?? null
}
