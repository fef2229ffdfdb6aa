import { existsSync, statSync } from 'node:fs'
import type { Knex } from 'knex'
import { UnreadableFile, type OrderRow } from '../../core/proof/orderFile'
import { messageCode } from '../../core/messages/code'
import { readPayload, savePayload } from '../data/jobs'
import { upsertOrders } from '../data/orderWriting'
import { findShop, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { TaskStopped, type TaskControl } from '../workers/task'
import { incomingFile } from './incoming'
import { orderImportSchema, type ImportOutcome, type OrderImport, type OrderReport } from './orderImport'
import { streamOrders } from './orderStream'
import { recheckProofs } from './recheckProofs'

const FIRST_ROWS = 100
const MOST_ROWS = 400
const LEAST_ROWS = 20
/** The time limit of a transaction; a waiting request waits at most this long. */
const WRITING_MS = 8
/** The number of listed problems and changes; all are counted. */
const MOST_LISTED = 200

/**
 * Imports the orders of an uploaded file in short transactions, then checks the verifications again. Each
 * transaction stores the progress, so that the import can stop at any time and continue.
 * @throws TaskStopped when it was asked to stop
 */
export async function importOrders(
  services: Services,
  { job, shopId }: { job: number; shopId: number },
  control: TaskControl,
): Promise<ImportOutcome> {
  const state = orderImportSchema.parse(await readPayload(services.db, job))
  const shop = await findShop(services.db, shopId)
  if (state.row !== null) {
    const why = await takeRows(services, shop, job, state, control)
    if (why !== null) return { outcome: 'unreadable', why }
  }
  const save = async (trx: Knex, after: number, change?: OrderReport['changes'][number]) => {
    state.review = after
    if (change) {
      state.report.changeCount++
      if (state.report.changes.length < MOST_LISTED) state.report.changes.push(change)
    }
    await savePayload(trx, job, state)
  }
  await recheckProofs(services, shop, { after: state.review, save }, control)
  services.changes.announce(shop.id)
  services.wakeJobs()
  return { outcome: 'taken', report: state.report }
}

/** Returns why the file can't be read, or null. */
async function takeRows(
  services: Services,
  shop: Shop,
  job: number,
  state: OrderImport,
  control: TaskControl,
): Promise<string | null> {
  const file = incomingFile(services, shop.id, state.upload)
  if (!existsSync(file)) return messageCode('orders.file.gone')
  const total = statSync(file).size
  const { rows, bytesRead } = await streamOrders(file)
  const chunk = buildChunks(services, shop, job, state)
  try {
    for await (const { row, order, problems } of rows) {
      if (row <= state.row!) continue
      chunk.add(row, order, problems)
      if (!chunk.isFull()) continue
      if (control.isStopped()) throw new TaskStopped()
      control.giveWay()
      await chunk.write()
      control.progress(bytesRead(), total)
    }
    await chunk.write()
  } catch (error) {
    if (error instanceof UnreadableFile) return error.message
    throw error
  }
  await writing(services.db, (trx) => savePayload(trx, job, Object.assign(state, { row: null })))
  return null
}

/** Collects rows and writes as many at a time as a short transaction allows. */
function buildChunks(services: Services, shop: Shop, job: number, state: OrderImport) {
  const { report } = state
  let rows: OrderRow[] = []
  let last = state.row!
  let size = FIRST_ROWS
  return {
    add: (row: number, order: OrderRow | null, problems: OrderReport['problems']) => {
      last = row
      const unnamed = order !== null && order.productSku === '' && order.productTitle === ''
      const wrong = unnamed
        ? [{ row, field: 'product_sku', reason: messageCode('orders.file.noProduct') }]
        : problems
      report.problemCount += wrong.length
      report.problems.push(...wrong.slice(0, MOST_LISTED - report.problems.length))
      if (order && !unnamed) rows.push(order)
    },
    isFull: () => rows.length >= size || last - state.row! >= MOST_ROWS,
    write: async () => {
      const started = performance.now()
      await writing(services.db, async (trx) => {
        const taken = await upsertOrders(trx, shop.id, rows, services.newId, services.now().toISOString())
        state.row = last
        report.rows += rows.length
        report.newOrders += taken.newOrders
        report.newLines += taken.newLines
        report.changedLines += taken.changedLines
        report.newProducts += taken.newProducts
        await savePayload(trx, job, state)
      })
      rows = []
      const took = performance.now() - started
      size = Math.round(Math.min(MOST_ROWS, Math.max(LEAST_ROWS, (size * WRITING_MS) / took)))
    },
  }
}
