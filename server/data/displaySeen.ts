import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert, row, whereOf } from './rows'
import { hasRows, pick, readAll, type Selected } from './select'

/** Whether a page has ever shown a display of a shop. */
export const wasAnySeen = (db: Knex, shopId: number): Promise<boolean> =>
  hasRows(
    db
      .from(db.raw('display CROSS JOIN display_seen ON display_seen.display_id = display.id'))
      .where({ 'display.shop_id': shopId }),
  )

/** A page that reported a display. */
export type PageSeen = Selected<typeof pageSeen>
const pageSeen = pick(tables.displaySeen, 'page', 'lastAt')

/** Of reports in a row, this many more that do not fit than fit make an embed code out of date. */
const MIN_MISFITS = 3
const MAX_MISFITS = 6

/** Anybody can report a page, so pages of other sites have a small limit of their own. */
const MAX_PAGES = { own: 200, other: 20 }

/**
 * Notes that a page showed a display, and whether the height that its code reserves fits, if it reserves any. If there is no room, the page seen longest ago is removed.
 * @param isOwn whether the page is on the shop's own site
 * @returns whether the page is new
 */
export async function noteSeen(
  trx: Knex.Transaction,
  seen: { shopId: number; displayId: number; page: string; at: string; fits: boolean | null },
  isOwn: (page: string) => boolean,
): Promise<boolean> {
  const { shopId, displayId, page, at, fits } = seen
  const known = await trx('display_seen')
    .where(whereOf(tables.displaySeen, { displayId, page }))
    .update(
      row(tables.displaySeen, {
        lastAt: at,
        ...(fits !== null && {
          misfits: fits ? trx.raw('max(misfits - 1, 0)') : trx.raw('min(misfits + 1, ?)', [MAX_MISFITS]),
        }),
      }),
    )
  if (known > 0) return false
  const own = isOwn(page)
  const pages: string[] = await trx('display_seen')
    .where({ display_id: displayId })
    .orderBy('last_at', 'desc')
    .pluck('page')
  const tooMany = pages.filter((page) => isOwn(page) === own).slice(MAX_PAGES[own ? 'own' : 'other'] - 1)
  await trx('display_seen').where({ display_id: displayId }).whereIn('page', tooMany).delete()
  await insert(trx, tables.displaySeen, {
    shopId,
    displayId,
    page,
    firstAt: at,
    lastAt: at,
    misfits: fits === false ? 1 : 0,
  })
  return true
}

export async function wasSeen(db: Knex, displayId: number, page: string): Promise<boolean> {
  return hasRows(db('display_seen').where(whereOf(tables.displaySeen, { displayId, page })))
}

/** The pages that showed a display, latest first. */
export async function pagesSeen(db: Knex, shopId: number, displayId: number): Promise<PageSeen[]> {
  return readAll(
    db('display_seen').where(whereOf(tables.displaySeen, { shopId, displayId })).orderBy('last_at', 'desc'),
    pageSeen,
  )
}

/** Pages of published displays whose embed code reserves another height than the display has, latest first. */
export async function pagesThatMisfit(db: Knex, shopId: number): Promise<{ page: string; key: string }[]> {
  return readAll(
    db('display')
      .join('display_seen', 'display_seen.display_id', 'display.id')
      .where(whereOf(tables.display, { shopId, removedAt: null }))
      .where('misfits', '>=', MIN_MISFITS)
      .whereNotNull('display.live_version_id')
      .orderBy('display_seen.last_at', 'desc'),
    { page: tables.displaySeen.page, key: tables.display.key },
  )
}
