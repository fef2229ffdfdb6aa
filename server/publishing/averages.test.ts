import { insertProduct } from '../data/products'
import { expect, test } from 'vitest'
import { plainAct } from '../../core/moderation/reviewAct'
import { addMember, addShop, send, testServices } from '../../tests/support/shop'
import { configured } from '../../tests/support/display'
import { decide } from '../moderation/decide'
import { composer } from './compose'

test('the average that visitors read is the one worked out from the database by hand, for each kind of scope', async () => {
  const { services, clock } = await testServices()
  const { db } = services
  const mara = await addMember(services, 'Mara')
  const shop = await addShop(services, 'wrenfield', [mara])
  await insertProduct(db, shop.id, 'p-smoker', { sku: 'SM-L', title: 'Smoker' })
  await insertProduct(db, shop.id, 'p-veil', { sku: 'VL-H', title: 'Veil' })
  const skus = ['HK-2', 'SM-L', 'VL-H', '']
  for (let i = 0; i < 40; i++) {
    clock.now = new Date(clock.now.getTime() + 60_000)
    const { publicId } = await send(services, 'wrenfield', {
      rating: 1 + ((i * i + 2 * i) % 5),
      product: skus[i % 4],
      author_email: `writer${i}@post.example`,
      body: `Number ${i}`,
      consent: i % 7 !== 0,
    })
    const act = i % 5 === 0 ? 'decline' : i % 6 === 0 ? 'spam' : 'approve'
    await decide(services, shop, mara, publicId, plainAct(act), 1)
  }
  const byHand = async (scope: string[] | null) => {
    const rows: { value: number; scale: number }[] = await db.raw(
      `SELECT rating_value AS value, rating_scale AS scale FROM review_version
       JOIN review ON review.published_version_id = review_version.id
       LEFT JOIN product ON product.id = review.product_id
       WHERE review.state = 'approved' AND review.source <> 'manualEntry' AND consent_answer = 'given'
       ${scope === null ? '' : `AND product.sku IN (${scope.map((sku) => `'${sku}'`).join()})`}`,
    )
    const sum = rows.reduce((total, { value, scale }) => total + (value / scale) * 5, 0)
    return { count: rows.length, average: rows.length === 0 ? null : sum / rows.length }
  }
  const { compose } = await composer(services, shop)
  const cases = [
    { scope: null, of: configured({ selection: { ratings: [5], limit: 2, leftOut: [] } }), asked: {} },
    { scope: null, of: configured({ selection: { verifiedOnly: true, tags: ['none'] } }), asked: {} },
    { scope: ['SM-L'], of: configured(), asked: { product: 'SM-L', limit: 1 } },
    {
      scope: ['HK-2'],
      of: configured({ selection: { products: { kind: 'page' } } }),
      asked: { product: 'HK-2' },
    },
    {
      scope: ['HK-2', 'VL-H'],
      of: configured({ selection: { products: { kind: 'chosen', skus: ['HK-2', 'VL-H'] } } }),
      asked: {},
    },
  ]
  for (const { scope, of, asked } of cases) {
    const expected = await byHand(scope)
    expect(expected.count).toBeGreaterThan(3)
    const { tally } = (await compose(of, { key: 'front', asked })).model
    expect(tally.count).toBe(expected.count)
    expect(tally.average! / 100).toBeCloseTo(expected.average!, 10)
  }
})
