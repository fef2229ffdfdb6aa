import { parse } from 'csv-parse/sync'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { readCsv } from '../../core/listing/sheet/sheetTable'
import { brought } from '../../tests/support/brought'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn } from '../../tests/support/signedIn'
import { addShop, send } from '../../tests/support/shop'
import { variedSentence } from '../../tests/support/submissions'
import { ROWS_AT_ONCE } from '../moderation/reviewsToDownload'
import { consentOwn } from '../collection/ownReview'
import { receive } from '../collection/receive'
import { issueLink } from '../collection/confirmation'
import { asMember } from '../../core/moderation/actor'

/* The reviews of a list as a spreadsheet file, through the real listener. */

const MANY = 450

let app: Listening
let cookie = ''
beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off' })
  const { services, shop, member } = app
  const other = await addShop(services, 'saltmarsh', [member])
  const actor = asMember(member)
  const candidates = Array.from({ length: MANY }, (_, i) =>
    brought(`r${i}`, {
      body: `${variedSentence(i)} Number ${i}.`,
      answers:
        i < 300
          ? [{ question: 'colour', label: i < 200 ? 'Colour?' : 'Which colour?', value: `blue ${i}` }]
          : [{ label: 'Where from', value: `town ${i}` }],
    }),
  )
  const hostile = brought('x', {
    rating: { value: 1, scale: 5 },
    title: '=HYPERLINK("http://x.example")',
    body: '-1 for "you";\r\n+1, Grüße\tan alle',
    authorName: '@Ünal',
    authorEmail: 'unal@post.example',
    answers: [{ question: 'gone', label: '=Gone', value: '+44 is a code' }],
  })
  await receive(services, shop, { actor, intake: null, candidates: [...candidates, hostile] })
  await receive(services, other, {
    actor,
    intake: null,
    candidates: [brought('o', { authorName: 'Not mine' })],
  })
  cookie = (await signedIn(app, member)).cookie
})
afterAll(() => app.stop())

const download = (query: string, headers: Record<string, string> = { Cookie: cookie }) =>
  fetch(`${app.url}/s/wrenfield/decide/download?${query}`, { redirect: 'manual', headers })

async function rowsOf(query: string) {
  const { headings, rows } = readCsv(await (await download(query)).text())
  return rows.map((cells) => Object.fromEntries(headings.map((heading, i) => [heading, cells[i]])))
}

test('has all reviews of the list and no others, with a column for each question as it was asked last', async () => {
  const answer = await download('lane=approved')
  expect(answer.headers.get('Content-Disposition')).toBe(
    'attachment; filename="wrenfield-approved-2026-11-25.csv"',
  )
  const rows = await rowsOf('lane=approved&rating=4')
  const approved: string[] = await app.services
    .db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .where({ 'review.shop_id': app.shop.id, state: 'approved', 'review.rating': 400 })
    .orderBy('review.id', 'desc')
    .pluck('author_name')
  expect(approved.length).toBeGreaterThan(2 * ROWS_AT_ONCE)
  expect(rows.map(({ Name }) => Name)).toEqual(approved)
  expect(JSON.stringify(rows)).not.toContain('Not mine')
  expect(Object.keys(rows[0]!).filter((heading) => /colour|town|Where/i.test(heading))).toEqual([
    'Where from',
    'Which colour?',
  ])
  expect(rows.find(({ Name }) => Name === 'Writer r7')).toMatchObject({
    State: 'Approved',
    Rating: '4',
    Review: expect.stringContaining('Number 7.'),
    Written: '2026-05-01',
    Arrived: '2026-11-25',
    'Bought here': 'no',
    'Which colour?': 'blue 7',
    'Where from': '',
  })
  expect(rows.find(({ Name }) => Name === 'Writer r449')).toMatchObject({ 'Where from': 'town 449' })
})

test('is no formula in a spreadsheet, and says what was written when it is read again', async () => {
  const text = await (await download('lane=spam')).text()
  const cells = parse(text, { bom: true }).flat()
  expect(cells.filter((cell) => /^[=+@-]/.test(cell))).toEqual([])
  const [row] = await rowsOf('lane=spam')
  expect(row).toMatchObject({
    Headline: '=HYPERLINK("http://x.example")',
    Review: '-1 for "you";\n+1, Grüße\tan alle',
    Name: '@Ünal',
    Email: 'unal@post.example',
    '=Gone': '+44 is a code',
  })
})

test('says that a review may no longer be shown once its writer has said so', async () => {
  const { services } = app
  const { publicId } = await send(services, 'wrenfield', { author_name: 'Ada Wendt' })
  const mayBeShown = async () =>
    (await rowsOf('lane=waiting')).find(({ Name }) => Name === 'Ada Wendt')!['May be shown']
  expect(await mayBeShown()).toBe('yes')
  const { id: reviewId } = (await services
    .db('review')
    .where({ public_id: publicId })
    .first<{ id: number }>('id'))!
  const link = await services.db.transaction((trx) =>
    issueLink(services, trx, { purpose: 'review', reviewId, days: 30 }),
  )
  await consentOwn(services, link.split('/').at(-1)!, false)
  expect(await mayBeShown()).toBe('no')
})

test('is only for who may see it', async () => {
  expect((await download('lane=approved', {})).status).toBe(302)
  expect(
    (await fetch(`${app.url}/s/elsewhere/decide/download`, { headers: { Cookie: cookie } })).status,
  ).toBe(404)
})
