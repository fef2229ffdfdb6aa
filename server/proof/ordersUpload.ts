import { writeFile, mkdir } from 'node:fs/promises'
import path from 'node:path'
import { latestJob, type JobLine } from '../data/jobs'
import { ordersSummary } from '../data/orderWriting'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { JobRefused, type Job, type JobControl, type Outcome } from '../jobs/job'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'
import { newOrderImport, orderImportSchema, type OrderReport } from './orderImport'
import { dropIncoming, incomingFile } from './incoming'

export const IMPORT_ORDERS = 'importOrders'

/** Starts the job that imports an uploaded file. It continues after a restart. */
export async function importUploadedOrders(
  services: Services,
  shop: Shop,
  upload: string,
  name: string,
): Promise<void> {
  await writing(services.db, (trx) =>
    enqueue(trx, {
      shopId: shop.id,
      kind: IMPORT_ORDERS,
      uniqueKey: `${IMPORT_ORDERS}:${shop.id}:${upload}`,
      payload: newOrderImport(upload, name),
      dueAt: services.now().toISOString(),
    }),
  )
  services.wakeJobs()
}

/** The same for a file in one request, from a browser without scripts. */
export async function importOrderFile(
  services: Services,
  shop: Shop,
  file: { name: string; bytes: Uint8Array },
): Promise<void> {
  const upload = services.newId()
  const at = incomingFile(services, shop.id, upload)
  await mkdir(path.dirname(at), { recursive: true })
  await writeFile(at, file.bytes, { mode: 0o600 })
  await importUploadedOrders(services, shop, upload, file.name)
}

/** The job: a thread does the work, then the file is deleted. */
export async function runOrderImport(
  services: Services,
  job: Job,
  { signal, progress }: JobControl,
): Promise<Outcome> {
  const shopId = job.shopId!
  const { upload } = orderImportSchema.parse(job.payload)
  const outcome = await services.workers.run(
    'importOrders',
    { job: job.id, shopId },
    {
      signal,
      progress: (done, total) => void progress(done, total),
    },
  )
  if (outcome.outcome === 'unreadable') throw new JobRefused(outcome.why)
  await dropIncoming(services, shopId, upload)
  return outcome.report
}

interface OrdersView {
  count: number
  newest: string | null
  /** The latest import with its progress or result. */
  latest:
    | (Pick<JobLine, 'id' | 'state' | 'done' | 'total' | 'error'> & { name: string; report: OrderReport })
    | null
}

/** What the shop has of orders. */
export async function ordersView({ db }: Services, shop: Shop): Promise<OrdersView> {
  const summary = await ordersSummary(db, shop.id)
  const job = await latestJob(db, shop.id, IMPORT_ORDERS)
  if (!job) return { ...summary, latest: null }
  const { id, state, done, total, error } = job
  const { name, report } = orderImportSchema.parse(job.payload)
  return { ...summary, latest: { id, state, done, total, error, name, report } }
}
