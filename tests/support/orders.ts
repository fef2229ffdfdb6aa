import { importOrderFile, ordersView } from '../../server/proof/ordersUpload'
import type { Shop } from '../../server/data/shops'
import type { Services } from '../../server/services'
import { drainJobs } from './shop'

/** Imports a file of orders and answers what came of it. */
export async function importOrderText(services: Services, shop: Shop, text: string) {
  await importOrderFile(services, shop, { name: 'orders.csv', bytes: new TextEncoder().encode(text) })
  await drainJobs(services)
  return (await ordersView(services, shop)).latest!
}
