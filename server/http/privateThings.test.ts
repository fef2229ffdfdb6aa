import { afterAll, beforeAll, expect, test } from 'vitest'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { startingDesign } from '../../core/form/startingDesign'
import type { guessMatching } from '../../core/listing/sheet/guessMatching'
import { manualEntrySchema } from '../../core/intake/manualEntry'
import { plainAct } from '../../core/moderation/reviewAct'
import { sitesFor, SITES } from '../../tests/support/listings'
import { startListener, type Listening } from '../../tests/support/listener'
import { eventually } from '../../tests/support/eventually'
import { importOrderText } from '../../tests/support/orders'
import { drainJobs } from '../../tests/support/shop'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { formToken } from '../../tests/support/submissions'
import { writeDown } from '../collection/writeDown'
import { connectListing } from '../listing/connectListing'
import { understand } from '../listing/understand'
import { decide } from '../moderation/decide'
import { makeLive, saveDraft } from '../publishing/draft'

/* What is private in any source is looked for in every public answer, email to others, and the log. */

/** By what it is; each is written where it belongs, and nowhere else. */
const secrets = {
  surname: 'Quendlenburg',
  address: 'ottilie@quendl.example',
  orderNumber: 'ORDER-44871',
  network: '203.0.113.77',
  unsharedAnswer: 'Nobody-but-the-shop',
  note: 'Careful-with-this-one',
  replyDraft: 'Unsent-reply',
  declined: 'Words-of-a-declined-review',
  withoutConsent: 'Words-without-consent',
  evidenceNote: 'Seen-in-a-chat',
  evidence: 'PNG-of-a-private-chat',
  evidenceName: 'chat-with-ida.png',
  buyerAddress: 'buyer@quendl.example',
  buyerName: 'Hildegund Zwetschgau',
  sheetSurname: 'Oostrum',
  sheetContact: 'marit.oostrum',
  sheetAnswer: 'The board outside',
  sheetAddress: 'tasting-day.csv',
  member: 'mara@',
}

let app: Listening
let mara: SignedIn
let served: Map<string, string>
/** The public ids of a review and of its evidence. */
let shown: { review: string; evidence: string }

async function written(fields: Record<string, string>): Promise<string> {
  const answer = await fetch(`${app.url}/f/wrenfield`, {
    method: 'POST',
    headers: { Accept: 'application/json', 'X-Forwarded-For': secrets.network },
    body: new URLSearchParams({
      rating: '5',
      body: 'The lid closes with one finger and keeps everything dry.',
      author_name: `Ottilie ${secrets.surname}`,
      author_email: secrets.address,
      order_number: secrets.orderNumber,
      answer_from: secrets.unsharedAnswer,
      answer_best: 'A-shared-answer',
      consent: 'on',
      token: await formToken(app.url, 'wrenfield'),
      ...fields,
    }),
  })
  expect(answer.status).toBe(201)
  served.set(`the answer to ${fields.body ?? 'the first review'}`, await answer.clone().text())
  return ((await answer.json()) as { id: string }).id
}

async function act(publicId: string, kind: 'approve' | 'decline'): Promise<void> {
  const { revision } = await app.services
    .db('review')
    .where({ public_id: publicId })
    .first<{ revision: number }>()
  await decide(app.services, app.shop, app.member, publicId, plainAct(kind), revision)
}

async function connectSheet(): Promise<void> {
  Object.assign(app.services, sitesFor(app.clock).given)
  const address = `${SITES}/sheets/tasting-day.csv`
  const understood = await understand(app.services, app.shop, address)
  if (understood.kind !== 'described') throw new Error(understood.kind)
  const { columns, ...guess }: ReturnType<typeof guessMatching> = understood.described.business!.sheet!.guess
  const hidden = /surname|last|how did you hear/i
  const made = await connectListing(app.services, app.shop, {
    origin: 'page',
    kind: 'listing',
    id: address,
    accessKey: '',
    languages: [],
    product: '',
    tag: '',
    arrivesAs: 'approved',
    matching: {
      ...guess,
      isDayFirst: true,
      columns: columns.map((column) =>
        hidden.test(column.heading) ? { ...column, use: 'private' } : column,
      ),
    },
    name: 'Tasting afternoon',
  })
  if (made.outcome === 'refused') throw new Error(made.refusal)
  await drainJobs(app.services)
}

beforeAll(async () => {
  served = new Map()
  app = await startListener({ ELOGIO_THROTTLE: 'off', TRUST_PROXY: '1' })
  mara = await signedIn(app, app.member)
  const question = {
    kind: 'short',
    hint: '',
    options: [],
    steps: 5,
    low: '',
    high: '',
    required: false,
  } as const
  const design = {
    ...startingDesign,
    questions: [
      { ...question, id: 'from', label: 'Where from?', public: false },
      { ...question, id: 'best', label: 'What is best?', public: true },
    ],
  }
  await app.services.db('form_version').update({ design: JSON.stringify(design) })
  const orders = `number,email,name,product_sku,product_title,placed_at,delivered_at,status\n${secrets.orderNumber},${secrets.buyerAddress},${secrets.buyerName},,,2026-11-01,2026-11-03,delivered\n`
  await importOrderText(app.services, app.shop, orders)

  const first = await written({})
  await act(first, 'approve')
  await mara.post(`/s/wrenfield/decide/${first}/aside.data`, { what: 'note', text: secrets.note })
  await mara.post(`/s/wrenfield/decide/${first}/aside.data`, { what: 'replyDraft', text: secrets.replyDraft })
  await act(await written({ body: secrets.declined, author_email: 'two@quendl.example' }), 'decline')
  await act(
    await written({ body: secrets.withoutConsent, consent: '', author_email: 'three@quendl.example' }),
    'approve',
  )
  const entry = manualEntrySchema([], '2026-11-25').parse({
    rating: '5',
    body: 'They told us in the shop that it lasts.',
    author_name: 'Ida Sund',
    consent: 'on',
    note: secrets.evidenceNote,
  })
  const content = Buffer.from(secrets.evidence)
  const evidence = { name: secrets.evidenceName, kind: 'png' as const, content }
  const { publicId: review } = await writeDown(app.services, app.shop, app.member, entry, [evidence])
  const [row] = await app.services.db('evidence').select<{ id: string }[]>({ id: 'public_id' })
  shown = { review, evidence: row!.id }
  await connectSheet()
  const { parts, heading, selection, ...rest } = startingConfiguration
  await saveDraft(app.services, app.shop, 'wrenfield-page', {
    ...rest,
    selection: { ...selection, limit: 24 },
    parts: { ...parts, answers: true, date: 'day', product: true, reply: true, origin: 'link' },
    heading: { ...heading, siteNumbers: true, allThere: true, writeThere: true, byOrigin: true },
  })
  await makeLive(app.services, app.shop, app.member, 'wrenfield-page')
  await eventually(async () => {
    const answer = await fetch(`${app.url}/d/wrenfield-page/all`)
    expect(await answer.text()).toContain('Holding a full frame')
  })
})
afterAll(() => app.stop())

test('nothing private is in an answer that a stranger gets', async () => {
  const paths = [
    '/d/wrenfield-page.json',
    '/d/wrenfield-page',
    '/d/wrenfield-page/all',
    '/d/wrenfield-page.json?limit=24&lang=de',
    '/f/wrenfield',
    '/f/wrenfield.data',
    '/f/wrenfield/frame',
    '/f/wrenfield/products?q=a',
    '/f/wrenfield/thanks',
    '/api/f/wrenfield',
    '/how/wrenfield',
    '/how/wrenfield.data',
    '/s/wrenfield/decide',
    '/s/wrenfield/decide.data',
    `/s/wrenfield/decide/${shown.review}/evidence/${shown.evidence}`,
    '/healthz',
    '/nothing-here',
  ]
  for (const one of paths) {
    const answer = await fetch(app.url + one, { redirect: 'manual' })
    served.set(one, [...answer.headers].join('\n') + (await answer.text()))
  }
  const body = served.get('/d/wrenfield-page/all')! + served.get('/d/wrenfield-page.json')!
  for (const shared of ['The lid closes with one finger', 'A-shared-answer', 'Holding a full frame'])
    expect(body).toContain(shared)
  for (const [where, text] of served)
    for (const [what, secret] of Object.entries(secrets))
      expect(text, `${what} in ${where}`).not.toContain(secret)
})

test('nor in an email to somebody else, nor in the log', () => {
  const log = JSON.stringify(app.log)
  for (const [what, secret] of Object.entries(secrets)) expect(log, what).not.toContain(secret)
  for (const { recipient, subject, text, html } of app.mails) {
    if (recipient === app.member.email) continue
    const mail = subject + text + html
    // An email greets its recipient by name.
    for (const [what, secret] of Object.entries(secrets)) {
      if (what !== 'surname') expect(mail, `${what} to ${recipient}`).not.toContain(secret)
    }
  }
})
