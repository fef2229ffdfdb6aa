import { createHash } from 'node:crypto'
import { mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test } from 'vitest'
import { addShop, testServices } from '../../tests/support/shop'
import { keepFile } from './keepFile'

test('a picture that cannot be written leaves no part of itself', async () => {
  const mediaFolder = mkdtempSync(path.join(tmpdir(), 'elogio-part-'))
  const { services } = await testServices({ mediaFolder })
  const shop = await addShop(services, 'wrenfield', [])
  const data = Buffer.from('a picture')
  const name = `${createHash('sha256').update(data).digest('hex').slice(0, 32)}.webp`
  // A folder stands where the file should go.
  mkdirSync(path.join(mediaFolder, name))
  await expect(keepFile(services, shop.id, { data, info: { width: 1, height: 1 } })).rejects.toThrow()
  expect(readdirSync(mediaFolder)).toEqual([name])
  rmSync(mediaFolder, { recursive: true })
})
