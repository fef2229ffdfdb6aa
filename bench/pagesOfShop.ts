import type { Services } from '../server/services'

/** Every page of a member and every public address, in a shop that was filled. */
export function pagesOfShop(slug: string): string[] {
  const own = `/s/${slug}`
  return [
    `${own}/gather`,
    `${own}/gather/write`,
    `${own}/gather/products`,
    `${own}/gather/products?q=oak%202&page=2`,
    `${own}/gather/products/p7`,
    `${own}/gather/products/find?q=zzz`,
    `${own}/gather/products/find?q=wool`,
    `${own}/find?q=wool`,
    `${own}/find?q=c7%40`,
    `${own}/notices`,
    `${own}/gather/connect`,
    `${own}/gather/orders`,
    `${own}/gather/listings/listing3`,
    `${own}/gather/forms/form7`,
    `${own}/gather/forms/form7/page`,
    `${own}/gather/forms/form7/card`,
    `${own}/decide`,
    `${own}/decide?lane=approved&product=SKU-9`,
    `${own}/decide?lane=approved&rating=1&tag=tag%207`,
    `${own}/decide?lane=approved&q=honey`,
    `${own}/decide/r777`,
    `${own}/decide/r777/correct`,
    `${own}/tags?q=9`,
    `${own}/show`,
    `${own}/show?page=9`,
    `${own}/show/new`,
    `${own}/show/display7`,
    `${own}/show/display12`,
    `${own}/settings`,
    `${own}/settings/email`,
    `${own}/settings/learning`,
    `${own}/settings/problems`,
    `${own}/settings/jobs`,
    '/f/form-7',
    '/f/form-7/products?q=wool',
    '/how/bench',
    '/d/display7.json',
    '/d/display7',
    '/d/display7/all',
    '/d/display7.json?product=SKU-20',
    '/healthz',
  ]
}

/** Waits until what the start has to do is done: all displays are rendered again. */
export async function untilRendered({ db }: Pick<Services, 'db'>): Promise<void> {
  for (let waiting = 1; waiting > 0;) {
    await new Promise((resolve) => setTimeout(resolve, 200))
    const jobs = await db('job')
      .whereIn('kind', ['rebuildDisplays', 'rebuild'])
      .whereIn('state', ['due', 'running'])
      .count({ count: '*' })
    waiting = Number(jobs[0]!.count)
  }
}
