import { expect, test } from 'vitest'
import { decodeFile } from '../formats/decodeFile'
import { readOrderFile } from './orderFile'

const heading = 'number,email,name,product_sku,product_title,placed_at,delivered_at,status'

test('rows are read with their dates, and a quoted comma is no new cell', () => {
  const { rows, problems } = readOrderFile(
    `\uFEFF${heading}\r\nWB-1,a@b.example,"Lis, Piotr",HK-2,Hive kit,2026-03-01,09.03.2026,Delivered\r\nWB-2,,,,,,,\r\n`,
  )
  expect(problems).toEqual([])
  expect(rows[0]).toEqual({
    row: 1,
    number: 'WB-1',
    email: 'a@b.example',
    name: 'Lis, Piotr',
    productSku: 'HK-2',
    productTitle: 'Hive kit',
    placedAt: '2026-03-01',
    deliveredAt: '2026-03-09',
    status: 'delivered',
  })
  expect(rows[1]).toMatchObject({ row: 2, number: 'WB-2', deliveredAt: null, status: '' })
})

test('what is wrong is said by row and field, and the others are kept', () => {
  const { rows, problems } = readOrderFile(
    `${heading}\nWB-1,,,,,31.02.2026,,delivered\n,a@b.example,A,,,,,delivered\nWB-3,,A,B,C,,,x,y,z\nWB-4,,,,,,2026-03-09T23:30:00+02:00,delivered`,
  )
  expect(problems.map(({ row, field }) => [row, field])).toEqual([
    [1, 'placed_at'],
    [2, 'number'],
    [3, 'number'],
  ])
  expect(rows.map(({ row, deliveredAt }) => [row, deliveredAt])).toEqual([[4, '2026-03-09T21:30:00.000Z']])
})

test('semicolons, tabs, other headings and a guarded cell are understood', () => {
  expect(readOrderFile("Order no.;E-Mail;SKU\n'=WB-1;a@b.example;HK").rows[0]).toMatchObject({
    number: '=WB-1',
    email: 'a@b.example',
    productSku: 'HK',
  })
  expect(readOrderFile('number\tstatus\nWB-1\tshipped').rows[0]).toMatchObject({ status: 'shipped' })
})

test.each(['', 'name,email\nA,b@c.example'])('%j is refused with a reason', (text) => {
  expect(() => readOrderFile(text)).toThrow(/^orders\.file\.(empty|noColumn\?column=number)/)
})

test('old spreadsheets’ encoding and UTF-16 are read', () => {
  expect(decodeFile(new Uint8Array([0x4d, 0xfc, 0x6c]))).toBe('Mül')
  expect(decodeFile(new Uint8Array([0xff, 0xfe, 0x4d, 0x00]))).toBe('M')
  expect(decodeFile(new TextEncoder().encode('Müł'))).toBe('Müł')
})
