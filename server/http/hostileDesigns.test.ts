import { afterAll, beforeAll, expect, test } from 'vitest'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { startingDesign } from '../../core/form/startingDesign'
import { questionKinds } from '../../core/form/choices'
import { seededRandom } from '../../tests/fuzz/random'
import { hostileValues } from '../../tests/support/hostileValues'
import { startListener, type Listening } from '../../tests/support/listener'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { send } from '../../tests/support/shop'

/* Displays and forms with one part that no editor would save: refused, or shown by every page that shows it. */

let app: Listening
let mara: SignedIn
let form = ''

beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off' })
  mara = await signedIn(app, app.member)
  form = (await app.services.db('form').first<{ public_id: string }>('public_id')).public_id
  const { publicId } = await send(app.services, 'wrenfield')
  const act = JSON.stringify({ kind: 'approve' })
  await mara.post(`/s/wrenfield/decide/${publicId}.data`, { act, revision: '1' })
})
afterAll(() => app.stop())

const statusOf = async (path: string) => (await mara.get(path)).status

type Json = string | number | boolean | null | Json[] | { [name: string]: Json }
const wrong: Json[] = [
  ...hostileValues.map(([, value]) => value.slice(0, 5000)),
  ...[null, true, -1, 0.5, 1e15, [], {}],
  Array.from({ length: 3000 }, (_, i) => String(i)),
]

/** The places of a value that contain no further ones, or a list. */
const places = (value: Json): (string | number)[][] =>
  value === null || typeof value !== 'object' || Array.isArray(value)
    ? [[], ...(Array.isArray(value) ? value.flatMap((one, i) => places(one).map((at) => [i, ...at])) : [])]
    : Object.entries(value).flatMap(([name, inner]) => places(inner).map((at) => [name, ...at]))

function changed(value: Json, [first, ...rest]: (string | number)[], to: Json): Json {
  if (first === undefined) return to
  if (Array.isArray(value)) return value.map((one, i) => (i === first ? changed(one, rest, to) : one))
  const object = value as { [name: string]: Json }
  return { ...object, [first]: changed(object[first]!, rest, to) }
}

const question = (kind: string, i: number) => ({
  ...{ id: `ask${i}`, kind, label: `What is ${kind}?`, hint: '', options: ['one', 'two'], steps: 5 },
  ...{ low: 'little', high: 'much', required: false, public: true },
})
const words = { type: 'paragraph', content: [{ type: 'text', text: 'Hello', marks: [{ type: 'bold' }] }] }
const intro = [words, { type: 'bulletList', content: [{ type: 'listItem', content: [words] }] }]
const whole = {
  display: {
    ...startingConfiguration,
    title: 'Praise',
    heading: { ...startingConfiguration.heading, line: 'From customers', shop: 'name', bars: true },
    layout: { ...startingConfiguration.layout, kind: 'table', tableColumns: [] },
  } as unknown as Json,
  form: {
    ...startingDesign,
    intro,
    questions: questionKinds.map(question),
    translations: {
      de: { texts: { heading: 'Wie war es?' }, intro, questions: { ask1: { label: 'Was?' } } },
    },
  } as unknown as Json,
}

test.each([
  [
    'display',
    { path: () => '/s/wrenfield/show/wrenfield-page', field: 'configuration', live: 'live', drawn: 150 },
    () => ['/s/wrenfield/show/wrenfield-page', '/d/wrenfield-page', '/d/wrenfield-page.json'],
  ],
  [
    'form',
    { path: () => `/s/wrenfield/gather/forms/${form}`, field: 'draft', live: 'publish', drawn: 40 },
    () => [`/s/wrenfield/gather/forms/${form}`, `/s/wrenfield/gather/forms/${form}/page`, '/f/wrenfield'],
  ],
] as const)(
  'a %s is refused, or every page shows it',
  async (kind, { path, field, live, drawn }, shownOn) => {
    const random = seededRandom(20_261_130)
    const faulty: string[] = []
    let kept = 0
    for (let i = 0; i < drawn; i++) {
      const [at, to] = [random.pick(places(whole[kind])), random.pick(wrong)]
      const said = `${at.join('.')} = ${JSON.stringify(to).slice(0, 60)}`
      const value = JSON.stringify(changed(whole[kind], at, to))
      const saved = await mara.post(`${path()}.data`, { intent: 'save', [field]: value, tab: 'a' })
      if (saved.status >= 500) faulty.push(`${said}: ${saved.status} when saved`)
      if (saved.status !== 200) continue
      kept++
      const made = await mara.post(`${path()}.data`, { intent: live })
      if (made.status >= 500) faulty.push(`${said}: ${made.status} when published`)
      for (const page of shownOn()) {
        const status = await statusOf(page)
        if (status >= 400) faulty.push(`${said}: ${status} on ${page}`)
      }
    }
    expect(faulty).toEqual([])
    expect(kept).toBeGreaterThan(4)
    expect(kept).toBeLessThan(drawn)
  },
)
