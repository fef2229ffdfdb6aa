import { fork } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { parse } from 'csv-parse/sync'
import sharp from 'sharp'
import { create } from 'tar'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { startingDesign } from '../../core/form/startingDesign'
import { eventually } from '../../tests/support/eventually'
import { longestWait, TRIED_AGAIN } from '../../tests/support/longestWait'
import { openSocket, rawRequest, sendRaw, startListener, type Listening } from '../../tests/support/listener'
import { program, svgWithScript } from '../../tests/support/pictures'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { send } from '../../tests/support/shop'
import { formToken } from '../../tests/support/submissions'
import { film } from '../../tests/support/videos'
import { openData } from '../backup/openData'
import { restoreBackup } from '../backup/restoreBackup'
import { writeBackup } from '../backup/writeBackup'
import { productRow } from '../data/products'
import { findReview } from '../data/reviewReading'
import { ordersView } from '../proof/ordersUpload'
import { tables } from '../data/schema/tables'
import { insertAll } from '../data/rows'
import { makeLive } from '../publishing/draft'

/* What attacks and daily use once brought down, each through the real listener. */

let app: Listening
let mara: SignedIn
beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off', TRUST_PROXY: '1' })
  mara = await signedIn(app, app.member)
  await makeLive(app.services, app.shop, app.member, 'wrenfield-page')
})
afterAll(() => app.stop())

const submission = async (fields: Record<string, string> = {}) => ({
  rating: '5',
  body: 'Sturdy, dry and quick to put together.',
  author_name: 'Piotr Lis',
  author_email: 'piotr@lis.example',
  consent: 'on',
  token: await formToken(app.url, 'wrenfield'),
  ...fields,
})
const post = (
  to: string,
  body: URLSearchParams | FormData | Uint8Array<ArrayBuffer>,
  from = '198.51.100.7',
) =>
  fetch(app.url + to, {
    method: 'POST',
    redirect: 'manual',
    headers: { 'X-Forwarded-For': from, Accept: 'application/json' },
    body,
  })
const photo = () =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: '#e9b949' } })
    .jpeg()
    .toBuffer()
const uploaded = async (from: string) => {
  const answer = await post('/f/wrenfield/photo', new Uint8Array(await photo()), from)
  return {
    status: answer.status,
    ...((await answer.json()) as { key: string; shown: string; error?: string }),
  }
}

test('a spreadsheet download has no formula, and no row more, whatever a stranger writes', async () => {
  await post('/f/wrenfield', new URLSearchParams(await submission({ body: 'Lovely.\n=1+1\r;=2+2\t=3+3' })))
  const text = await (await mara.get('/s/wrenfield/decide/download?lane=waiting')).text()
  const count = Number(
    (await app.services.db('review').where({ shop_id: app.shop.id, state: 'waiting' }).count({ n: '*' }))[0]!
      .n,
  )
  expect(parse(text, { bom: true })).toHaveLength(count + 1)
  // A program that splits at each line break, tab or semicolon, and knows no quotation marks.
  const cells = text.split(/[\r\n\t;]/).map((cell) => cell.replace(/^"/, ''))
  expect(cells.filter((cell) => /^[=+\-@]/.test(cell))).toEqual([])
})

describe('photos and videos that are not sent with a form', () => {
  const video = film({ seconds: 5 })
  const sendVideo = (key: string, from: string) =>
    post(`/f/wrenfield/video?key=${key}&at=0&whole=${video.length}`, new Uint8Array(video), from)

  beforeAll(async () => {
    const design = { ...startingDesign, video: { ...startingDesign.video, shown: true } }
    await app.services.db('form_version').update({ design: JSON.stringify(design) })
  })

  test('are nobody’s to fetch, and with the review they are', async () => {
    const { key, shown } = await uploaded('198.51.100.8')
    expect(shown).toMatch(/^data:image\/webp;base64,/)
    const [row] = (await app.services.db('pending_photo').where({ key }).select('name', 'small')) as [
      { name: string; small: string },
    ]
    const fetched = async () =>
      Promise.all([row.name, row.small].map(async (name) => (await fetch(`${app.url}/media/${name}`)).status))
    expect(await fetched()).toEqual([404, 404])
    const body = 'With a photo of the hive in our garden.'
    expect(
      (await post('/f/wrenfield', new URLSearchParams(await submission({ body, media: key })))).status,
    ).toBe(201)
    expect(await fetched()).toEqual([200, 200])
  })

  test('of one network do not fill the room of others', async () => {
    for (let i = 0; i < 6; i++)
      expect((await sendVideo((await uploaded('203.0.113.5')).key, '203.0.113.5')).status).toBe(201)
    const refused = await sendVideo((await uploaded('203.0.113.5')).key, '203.0.113.5')
    expect([refused.status, ((await refused.json()) as { error: string }).error]).toEqual([
      429,
      expect.stringContaining('before you send a review'),
    ])
    expect((await sendVideo((await uploaded('203.0.113.99')).key, '203.0.113.99')).status).toBe(201)
  })

  test('never fill the last part of the disk', async () => {
    app.services.diskReserve = 1
    try {
      const { status, error } = await uploaded('203.0.113.77')
      expect([status, error]).toEqual([429, expect.stringContaining('no room for photos')])
    } finally {
      app.services.diskReserve = 0
    }
  })

  test('whose last piece comes eight times at once are one video, and no error', async () => {
    const { key } = await uploaded('203.0.113.44')
    const answers = await Promise.all(Array.from({ length: 8 }, () => sendVideo(key, '203.0.113.44')))
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([201]))
  })
})

test('nobody is led to another site after signing in', async () => {
  const spellings = [
    '/.//evil.example/x',
    '/./\\evil.example',
    '/a/..//evil.example',
    '/%2e//evil.example',
    '/.\\/evil.example',
    '/x/../..//evil.example',
    '//evil.example',
    '/\\evil.example',
  ]
  for (const to of spellings) {
    const answer = await mara.get(`/sign-in?to=${encodeURIComponent(to)}`)
    const location = new URL(answer.headers.get('Location')!, 'http://localhost')
    expect([to, location.host, location.pathname.startsWith('//')]).toEqual([to, 'localhost', false])
  }
})

test('a second process on the same data folder is refused, and told what to do', async () => {
  const child = fork(path.resolve('server/main.ts'), {
    execArgv: ['--import', 'tsx'],
    env: {
      ...process.env,
      ELOGIO_DATA: app.dataFolder,
      PORT: '0',
      NODE_ENV: 'production',
      LOG_LEVEL: 'silent',
    },
    stdio: 'pipe',
  })
  let said = ''
  child.stderr?.on('data', (part: Buffer) => (said += part.toString()))
  child.stdout?.on('data', (part: Buffer) => (said += part.toString()))
  const status = await new Promise((resolve) => child.on('exit', resolve))
  expect([status, said]).toEqual([1, expect.stringContaining('Another Elogio is running on the data folder')])
})

describe('restoring', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'elogio-faults-'))
  const data = path.join(folder, 'data')
  afterAll(() => rmSync(folder, { recursive: true }))
  const now = new Date('2026-12-01T10:00:00Z')

  test('twice keeps the way back of each, and only its account reads the database', async () => {
    mkdirSync(data)
    await (await openData(data, now)).destroy()
    const file = path.join(folder, 'backup.tar.gz')
    await writeBackup({ dataFolder: data, file, now, withMedia: true })
    const first = await restoreBackup(data, file, now)
    const second = await restoreBackup(data, file, now)
    expect(first.replaced).not.toBe(second.replaced)
    for (const { replaced } of [first, second])
      expect(existsSync(path.join(replaced!, 'elogio.db'))).toBe(true)
    expect(statSync(path.join(data, 'elogio.db')).mode & 0o077).toBe(0)
  })

  test('a backup whose description is broken is refused in plain words', async () => {
    const inside = path.join(folder, 'inside')
    mkdirSync(inside)
    writeFileSync(path.join(inside, 'backup.json'), '{"format": 1,')
    writeFileSync(path.join(inside, 'elogio.db'), 'x')
    const broken = path.join(folder, 'broken.tar.gz')
    await create({ cwd: inside, file: broken, gzip: true }, ['backup.json', 'elogio.db'])
    await expect(restoreBackup(data, broken, now)).rejects.toThrow(
      'it is no backup, or not whole. Nothing has changed.',
    )
  })
})

test('a part of an order file with a bad address is answered with what to do', async () => {
  const answer = await mara.post('/s/wrenfield/gather/orders/piece?upload=../x&at=-1', 'x')
  expect([answer.status, ((await answer.json()) as { problem: string }).problem]).toEqual([
    400,
    expect.stringContaining('Choose the file again'),
  ])
})

test('an order file with very many columns is refused at once, in plain words', async () => {
  const wide = `number,${'x,'.repeat(400_000)}\nWB-1,1\n`
  const rows = `number,email\n${`WB-1,${'a,'.repeat(60_000)}\n`.repeat(20)}`
  for (const text of [wide, rows]) {
    const form = new FormData()
    form.set('file', new File([text], 'orders.csv', { type: 'text/csv' }))
    const begun = performance.now()
    await fetch(`${app.url}/s/wrenfield/gather/orders`, {
      method: 'POST',
      redirect: 'manual',
      headers: { Cookie: mara.cookie },
      body: form,
    })
    const job = async () => (await ordersView(app.services, app.shop)).latest
    await eventually(async () => expect((await job())!.state).toBe('failed'))
    expect((await job())!.error).toContain('orders.file.columns')
    expect(performance.now() - begun).toBeLessThan(20_000)
  }
})

test('the sharing picture of a display is a picture of the shop, or none', async () => {
  const save = (picture: string) =>
    mara.post('/s/wrenfield/show/wrenfield-page', {
      intent: 'save',
      configuration: JSON.stringify({ ...startingConfiguration, picture }),
    })
  expect((await save('../../secret')).status).toBe(400)
  expect((await save(`${'a'.repeat(32)}.webp`)).status).toBe(200)
})

test('the logo of a shop is shown on the page of a display', async () => {
  await eventually(async () => expect((await fetch(`${app.url}/d/wrenfield-page`)).status).toBe(200))
  const policy = (await fetch(`${app.url}/d/wrenfield-page`)).headers.get('Content-Security-Policy')!
  expect(/img-src ([^;]*)/.exec(policy)![1]!.split(' ')).toContain('data:')
})

test('a form for verified buyers says so, and needs the number of an order', async () => {
  await app.services.db('form').update({ writers: 'buyers' })
  try {
    const page = await (await fetch(`${app.url}/f/wrenfield`)).text()
    expect(page).toContain('Only customers of wrenfield can leave a review here.')
    const answer = await post(
      '/f/wrenfield',
      new URLSearchParams(await submission({ body: 'No number at all here.' })),
    )
    expect(answer.status).toBe(422)
    expect(Object.keys(((await answer.json()) as { errors: object }).errors)).toEqual(['order_number'])
  } finally {
    await app.services.db('form').update({ writers: 'anyone' })
  }
})

test('a product that only verified buyers can write about needs the number of an order too', async () => {
  await app.services.db('product').where({ sku: 'HK-2' }).update({ writers: 'buyers' })
  try {
    const answer = await post(
      '/f/wrenfield',
      new URLSearchParams(await submission({ product: 'HK-2', body: 'Without.' })),
    )
    expect(answer.status).toBe(422)
  } finally {
    await app.services.db('product').where({ sku: 'HK-2' }).update({ writers: null })
  }
})

test('a spare connection of a browser gets no answer to nothing', async () => {
  const socket = await openSocket(app.port)
  let heard = ''
  let closed = false
  socket.on('data', (part: Buffer) => (heard += part.toString()))
  socket.on('close', () => (closed = true))
  // As the server does after its time for the first line of a request.
  await new Promise((resolve) => setTimeout(resolve, 21_000))
  expect([heard, closed]).toEqual(['', false])
  socket.write('GET /healthz HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n')
  await eventually(() => expect(heard).toContain('HTTP/1.1 200'))
  socket.destroy()
}, 60_000)

test('a very long word is refused by its length, before anything reads it', TRIED_AGAIN, async () => {
  const sent = new URLSearchParams(await submission({ body: 'a'.repeat(400_000) }))
  const flood = async () => {
    for (let i = 0; i < 3; i++) expect((await post('/f/wrenfield', sent)).status).toBe(413)
  }
  const wait = await longestWait(() => fetch(`${app.url}/healthz`), flood())
  expect(wait).toBeLessThan(150)
  const whole = new FormData()
  for (const [name, value] of sent) whole.set(name, value)
  expect((await post('/f/wrenfield', whole)).status).toBe(413)
})

test('a draft of a form in two tabs is not overwritten by the later one', async () => {
  const { public_id: form } = await app.services.db('form').first<{ public_id: string }>('public_id')
  const save = async (heading: string, tab: string, base: string) => {
    const draft = JSON.stringify({ ...startingDesign, heading })
    const answer = await mara.post(`/s/wrenfield/gather/forms/${form}.data`, {
      intent: 'save',
      draft,
      tab,
      base,
    })
    return answer.text()
  }
  const stored = async () =>
    (
      JSON.parse((await app.services.db('form').first<{ draft: string }>('draft')).draft) as {
        heading: string
      }
    ).heading
  app.clock.now = new Date(app.clock.now.getTime() + 1000)
  expect(await save('One', 'first', '')).toContain('saved')
  expect(await save('Two', 'second', '')).toContain('changedElsewhere')
  expect(await stored()).toBe('One')
})

describe('a shop with many products', () => {
  const MANY = 3000
  beforeAll(async () => {
    await app.services.db.transaction(async (trx) => {
      const rows = Array.from({ length: MANY }, (_, i) =>
        productRow(app.shop.id, `many${i}`, { sku: `M-${i}`, title: `Comb frame ${i}` }),
      )
      await insertAll(trx, tables.product, rows)
    })
  })

  test.each([
    '/s/wrenfield/gather',
    '/s/wrenfield/decide',
    '/s/wrenfield/gather/products',
    '/s/wrenfield/gather/write',
    '/s/wrenfield/show',
    '/f/wrenfield',
  ])('%s does not list them all', async (page) => {
    const text = await (await fetch(app.url + page, { headers: { Cookie: mara.cookie } })).text()
    expect(text).toContain('</html>')
    expect((text.match(/Comb frame/g) ?? []).length).toBeLessThan(450)
    expect(text.length).toBeLessThan(200_000)
  })

  test.each([
    ...[
      '%00comb',
      'comb%00frame',
      'comb%0A2999',
      '%22%22%22',
      'comb%22%20OR%20%22x',
      '%F0%9F%98%80a',
      '%ED%A0%80abc',
    ],
    ...['NEAR(comb%20frame)', '*', '%25', 'a'.repeat(3000)],
  ])('a search for %s is answered by every search', async (q) => {
    for (const to of [
      '/f/wrenfield/products',
      '/s/wrenfield/find',
      '/s/wrenfield/gather/products/find',
      '/s/wrenfield/gather/products',
      '/s/wrenfield/tags',
      '/s/wrenfield/decide',
    ])
      expect((await mara.get(`${to}?q=${q}`)).status, to).toBeLessThan(400)
  })

  test('customers and members find each by its words, and a customer by its title without scripts', async () => {
    const found = async (to: string) => (await (await mara.get(to)).json()) as { title: string }[]
    expect((await found('/f/wrenfield/products?q=comb%202999')).map(({ title }) => title)).toEqual([
      'Comb frame 2999',
    ])
    expect(await found('/s/wrenfield/gather/products/find?q=M-2999')).toMatchObject([
      { title: 'Comb frame 2999' },
    ])
    const body = 'The frame that I bought fits well.'
    const sent = new URLSearchParams(await submission({ product: 'comb frame 2999', body }))
    const sentReview = await post('/f/wrenfield', sent)
    expect(sentReview.status).toBe(201)
    const { id } = (await sentReview.json()) as { id: string }
    const review = (await findReview(app.services.db, app.shop.id, { publicId: id }))!
    expect(review.productSku).toBe('M-2999')
    const unknown = new URLSearchParams(
      await submission({ product: 'No such thing', body: `${body} Indeed.` }),
    )
    expect((await post('/f/wrenfield', unknown)).status).toBe(422)
  })
})

test('unsent parts of uploads lie in folders that no address leads to', () => {
  expect(readdirSync(path.join(app.dataFolder, 'incoming')).toSorted()).toContain('photos')
  expect(readFileSync(path.join(app.dataFolder, 'lock.db'))).toBeDefined()
})

test('a review that was sent is in the right list after all that', async () => {
  const { state } = await send(app.services, 'wrenfield', {
    author_email: 'last@post.example',
    body: 'All is well here.',
  })
  expect(state).toBe('waiting')
})

/* Mended before: here one case of each; a locked or full storage, stopping, TLS and proxies have files of their own. */
describe('mended before', () => {
  test.each([
    ['a host that is given twice', rawRequest('GET / HTTP/1.1', { Host: ['localhost', 'evil.example'] })],
    ['an address of another site', rawRequest('GET http://evil.example/ HTTP/1.1')],
    ['a control character in the path', rawRequest('GET /a\u0001b HTTP/1.1')],
    ['an address that begins with two slashes', rawRequest('GET //evil.example/ HTTP/1.1')],
  ])('%s is a bad request, and nothing of it comes back', async (_, bytes) => {
    const { status, text } = await sendRaw(app.port, bytes)
    expect(status).toBe(400)
    expect(text).not.toMatch(/evil\.example| {4}at /)
  })

  test(
    'thousands of fields, deep names and deep JSON are refused before they are read',
    TRIED_AGAIN,
    async () => {
      const many = new URLSearchParams(Array.from({ length: 5000 }, (_, i) => [`answers[${i}]`, 'x']))
      expect((await post('/f/wrenfield', many)).status).toBe(413)
      for (const [name, value] of [
        [`a${'[b]'.repeat(50)}`, 'x'],
        ['a[4000000000]', 'x'],
      ] as const)
        expect((await post('/f/wrenfield', new URLSearchParams({ [name]: value }))).status).toBeLessThan(500)
      const begun = process.cpuUsage()
      await mara.post('/s/wrenfield/show/wrenfield-page', {
        intent: 'save',
        configuration: '['.repeat(20_000),
      })
      expect(process.cpuUsage(begun).user / 1000).toBeLessThan(1000)
    },
  )

  test('nobody is another client by saying so, and a wrong password tells nothing of an account', async () => {
    const strict = await startListener({ TRUST_PROXY: '1' })
    try {
      const guess = (email: string, said: string) =>
        fetch(`${strict.url}/sign-in`, {
          method: 'POST',
          redirect: 'manual',
          // The proxy adds the last one.
          headers: { 'X-Forwarded-For': `${said}, 203.0.113.9` },
          body: new URLSearchParams({ email, password: 'wrong' }),
        })
      const [known, unknown] = await Promise.all(
        [strict.member.email, 'nobody@tarn.example'].map(async (email) => {
          const answer = await guess(email, '198.51.100.1')
          return /role="alert"[^>]*>([^<]+)/.exec(await answer.text())![1]
        }),
      )
      expect(known).toBe(unknown)
      const statuses = []
      for (let i = 0; i < 45; i++)
        statuses.push((await guess(`a${i}@tarn.example`, `198.51.100.${i}`)).status)
      expect(statuses).toContain(429)
    } finally {
      await strict.stop()
    }
  })

  test('a drawing with a script, a program and a path as a key are no photos', async () => {
    for (const bytes of [svgWithScript, program])
      expect((await post('/f/wrenfield/photo', new Uint8Array(bytes))).status).toBe(422)
    const sent = await post(
      '/f/wrenfield',
      new URLSearchParams({ ...(await submission()), media: '../../secret' }),
    )
    expect(sent.status).toBe(422)
    expect(await sent.text()).not.toContain('secret')
  })

  test('a line break in a name or an address reaches no head of an email', async () => {
    const before = app.mails.length
    const broken = await submission({ author_email: 'piotr@lis.example\r\nBcc: all@evil.example' })
    expect((await post('/f/wrenfield', new URLSearchParams(broken))).status).toBe(422)
    const named = await submission({ author_name: 'Piotr\r\nBcc: all@evil.example' })
    expect((await post('/f/wrenfield', new URLSearchParams(named))).status).toBe(201)
    await eventually(() => expect(app.mails.length).toBeGreaterThan(before))
    for (const { recipient, subject } of app.mails.slice(before)) {
      expect(JSON.stringify(recipient)).not.toMatch(/evil/)
      expect(subject).not.toMatch(/[\r\n]/)
    }
  })
})
