import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, expect, test, vi } from 'vitest'
import { matchFiles } from './match'

const folder = mkdtempSync(path.join(tmpdir(), 'elogio-match-'))
afterAll(() => rmSync(folder, { recursive: true }))

function matched(orders: string[], reviews: object[]) {
  const [ordersFile, reviewsFile] = [path.join(folder, 'orders.csv'), path.join(folder, 'reviews.jsonl')]
  const heading = 'number,email,name,product_sku,product_title,placed_at,delivered_at,status'
  writeFileSync(ordersFile, [heading, ...orders].join('\n'))
  writeFileSync(reviewsFile, reviews.map((review) => JSON.stringify(review)).join('\n'))
  return matchFiles(ordersFile, reviewsFile, 'UTC', '2026-11-25T12:00:00Z')
}

const orders = [
  'WB-1,anna@post.example,Anna Berg,HK-2,Hive kit,2026-03-01,2026-03-09,delivered',
  'WB-2,anna@post.example,Anna Berg,GL-L,Gloves,2026-04-01,2026-04-05,refunded',
  'WB-3,tom@post.example,Tom Hale,HK-2,Hive kit,2026-04-01,2026-04-05,cancelled',
]

test('each review gets an answer in order, with the order that proves it and why', () => {
  expect(
    matched(orders, [
      { id: 'a', author_email: 'Anna@Post.example', body: 'x' },
      { id: 2, author_name: 'A. Berg', order_number: '#wb 1', product: 'hk-2', written_at: '2026-05-01' },
      { id: 'c', author_email: 'tom@post.example', written_at: '2026-05-01' },
      { id: 'd', author_name: 'Anna Berg' },
    ]).map(({ id, verified, by, order }) => [id, verified, by, order]),
  ).toEqual([
    ['a', true, 'mailbox', 'WB-2'],
    [2, true, 'orderNumber', 'WB-1'],
    ['c', false, undefined, undefined],
    ['d', false, undefined, undefined],
  ])
})

test('a row that cannot be read is named and left out; a line that cannot is an error with its place', () => {
  const said = vi.spyOn(console, 'error').mockImplementation(() => undefined)
  expect(
    matched(['WB-1,,Anna Berg,,,,soon,delivered', ...orders], [{ id: 1, author_name: 'x' }]),
  ).toHaveLength(1)
  expect(said.mock.calls[0]![0]).toMatch(/row 1, delivered_at: “soon” isn’t a date/)
  expect(() => matched(orders, [{ id: 1 }, { author_name: 'x' }])).toThrow(/line 2: id/)
})
