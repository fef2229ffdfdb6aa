import { jobKinds } from '../../server/jobKinds'
import { startJobRunner } from '../../server/jobs/runner'
import { bringOrderFile, ordersView } from '../../server/proof/bringOrders'
import type { Shop } from '../../server/data/shops'
import type { Services } from '../../server/services'
import { nowhere } from './shop'

/** Imports a file of orders and answers what came of it. */
export async function importOrderText(services: Services, shop: Shop, text: string) {
  const runner = startJobRunner(services, jobKinds(services, nowhere))
  await bringOrderFile(services, shop, { name: 'orders.csv', bytes: new TextEncoder().encode(text) })
  await runner.drain()
  await runner.stop()
  return (await ordersView(services, shop)).latest!
}
