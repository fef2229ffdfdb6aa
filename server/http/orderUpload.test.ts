import { existsSync } from 'node:fs'
import { readdir } from 'node:fs/promises'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn } from '../../tests/support/signedIn'
import { addMember } from '../../tests/support/shop'
import type { JobLine } from '../data/jobs'
import { jobsView } from '../jobs/manageJobs'
import { IMPORT_ORDERS } from '../proof/ordersUpload'
import { eventually } from '../../tests/support/eventually'

let app: Listening
let owner: string
let stranger: string

beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off' })
  owner = (await signedIn(app, app.member)).cookie
  stranger = (await signedIn(app, await addMember(app.services, 'Ned'))).cookie
})
afterAll(() => app.stop())

function sendPiece(
  body: BodyInit,
  { upload = 'abcdefgh', at = '0', cookie = owner, headers = {} as Record<string, string> } = {},
): Promise<Response> {
  const query = new URLSearchParams({ upload, at })
  return fetch(`${app.url}/s/wrenfield/gather/orders/piece?${query}`, {
    method: 'POST',
    redirect: 'manual',
    headers: { Cookie: cookie, 'Content-Type': 'application/octet-stream', ...headers },
    body,
  })
}

const incoming = () => path.join(app.dataFolder, 'incoming')
const isImport = ({ kind }: JobLine) => kind === IMPORT_ORDERS
const files = async () => (existsSync(incoming()) ? await readdir(incoming(), { recursive: true }) : [])

describe('a piece of a file of orders', () => {
  test('is taken from nobody but the members of the shop', async () => {
    expect((await sendPiece('number', { cookie: '' })).status).toBe(302)
    expect((await sendPiece('number', { cookie: stranger })).status).toBe(404)
    expect((await sendPiece('number', { headers: { Origin: 'https://evil.example' } })).status).toBe(403)
    expect(await files()).toEqual([])
  })

  test.each([
    { upload: '../../elogio' },
    { upload: '..%2f..%2felogio' },
    { upload: 'abcdefgh/../../x' },
    { upload: 'short' },
    { upload: 'a'.repeat(41) },
    { upload: 'abcdefg\0' },
    { at: '-1' },
    { at: '1e400' },
    { at: 'NaN' },
    { at: '0.5' },
  ])('under an address that makes no sense is refused: %o', async (query) => {
    expect((await sendPiece('number', query)).status).toBe(400)
    expect(await files()).toEqual([])
  })

  test('that does not begin where the file ends is not taken; the answer says where to go on', async () => {
    expect(await (await sendPiece('12345', { upload: 'offsets1', at: '7' })).json()).toEqual({ size: 0 })
    expect(await (await sendPiece('12345', { upload: 'offsets1' })).json()).toEqual({ size: 5 })
    expect(await (await sendPiece('again', { upload: 'offsets1' })).json()).toEqual({ size: 5 })
    expect(await (await sendPiece('678', { upload: 'offsets1', at: '5' })).json()).toEqual({ size: 8 })
    expect(await (await sendPiece('x', { upload: 'offsets1', at: '9007199254740991' })).json()).toEqual({
      size: 8,
    })
  })

  test('that is sent ten times at once stands once', async () => {
    await Promise.all(Array.from({ length: 10 }, () => sendPiece('0123456789', { upload: 'tentimes' })))
    expect(await (await sendPiece('', { upload: 'tentimes', at: '99' })).json()).toEqual({ size: 10 })
  })

  test('larger than a piece may be is refused before it is kept', async () => {
    const answer = await sendPiece(new Uint8Array(4_200_000), { upload: 'toolarge1' })
    expect(answer.status).toBe(413)
    expect((await files()).filter((name) => name.includes('toolarge1'))).toEqual([])
  })

  test('of one upload after another leaves no more than five files', async () => {
    for (let i = 0; i < 12; i++) await sendPiece('number', { upload: `many-uploads${i}`.replace('-', '') })
    expect((await files()).filter((name) => name.endsWith('.csv'))).toHaveLength(5)
  })
})

describe('reading what was uploaded', () => {
  const read = (upload: string, cookie = owner) =>
    fetch(`${app.url}/s/wrenfield/gather/orders.data`, {
      method: 'POST',
      redirect: 'manual',
      headers: { Cookie: cookie },
      body: new URLSearchParams({ upload, name: 'orders.csv' }),
    })

  test('an upload that is not there, and one with a path in its name, starts nothing', async () => {
    for (const upload of ['notthere1', '../../elogio.db', 'a'.repeat(500)])
      expect((await read(upload)).status, upload).toBeLessThan(500)
    const imports = async () => (await jobsView(app.services, app.shop)).filter(isImport)
    await eventually(async () => {
      expect((await imports()).map(({ state }) => state)).toEqual(['failed'])
    })
    expect((await imports())[0]!.error).toBe('orders.file.gone')
  })

  test.each(['cancel', 'again'])(
    'a stranger cannot %s a job, and none that is not theirs',
    async (intent) => {
      const act = (id: string, cookie: string) =>
        fetch(`${app.url}/s/wrenfield/settings/jobs.data`, {
          method: 'POST',
          redirect: 'manual',
          headers: { Cookie: cookie },
          body: new URLSearchParams({ intent, id }),
        })
      const notHers = 1
      const state = () =>
        app.services.db('job').where({ id: notHers }).first('shop_id', 'state', 'cancel_asked')
      const before = await state()
      expect(before).toMatchObject({ shop_id: null })
      expect((await act(String(notHers), stranger)).status).toBe(404)
      expect((await act(String(notHers), owner)).status).toBe(200)
      expect(await state()).toEqual(before)
      for (const id of ['-1', '1e9', '', 'x', '9'.repeat(400)])
        expect((await act(id, owner)).status, id).toBeLessThan(500)
    },
  )
})
