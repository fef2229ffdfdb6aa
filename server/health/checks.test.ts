import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test } from 'vitest'
import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/problems'
import { addMember, addShop, testServices } from '../../tests/support/shop'
import { checksOf } from './checks'

test('what is wrong comes first and says what to do; what is mended is fine', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'elogio-checks-'))
  const { services, clock } = await testServices({ mediaFolder: path.join(folder, 'media') })
  try {
    const shop = await addShop(services, 'wrenfield', [await addMember(services, 'Mara')])
    const found = async () =>
      (await checksOf(services, shop)).map(
        ({ about, state, text }) => `${about} ${state}: ${translateCode(say, text)}`,
      )
    const first = await found()
    expect(first[0]).toMatch(/^email wrong: No email server is set up/)
    expect(first).toContain(
      'backup good: The first is made within two hours of the first start, then one every day.',
    )
    expect(first).toContain(
      'address good: Customers and visitors reach it at https://reviews.wrenfield.example.',
    )

    mkdirSync(path.join(folder, 'backups'), { recursive: true })
    writeFileSync(path.join(folder, 'backups', 'daily-2026-11-25T09-00-00.tar.gz'), '')
    expect(await found()).toContain('backup good: The latest is 3 hours old.')
    clock.now = new Date('2026-11-29T12:00:00Z')
    expect(await found()).toContain(
      'backup wrong: The latest is 4 days old. Ask whoever installed Elogio to look at its log.',
    )
    await services.db('job').insert({
      kind: 'importOrders',
      unique_key: 'x',
      payload: '{}',
      shop_id: shop.id,
      state: 'failed',
      error: 'no',
      due_at: '',
      created_at: '',
    })
    expect(await found()).toContain('jobs wrong: One job failed.')
  } finally {
    await services.db.destroy()
    rmSync(folder, { recursive: true })
  }
})
