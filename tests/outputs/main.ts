import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { z } from 'zod'
import { fillDemo } from '../../demo/fill'
import { owner } from '../../demo/members'
import { asMember } from '../../core/moderation/actor'
import { layouts } from '../../core/display/choices'
import { customerLanguages } from '../../core/messages/customers/languages'
import { startApplication } from '../../server/application'
import { readConfig } from '../../server/config'
import { databaseFile } from '../../server/dataFolder'
import { openDatabase } from '../../server/data/database'
import { findDisplay, insertDisplay } from '../../server/data/displays'
import { findShopBySlug } from '../../server/data/shops'
import { silentLog } from '../../server/log'
import { buildServices } from '../../server/services'
import { makeLive } from '../../server/publishing/draft'
import { inlineWorkers } from '../../server/workers/inline'
import { sitesFor } from '../support/listings'
import { FILLED_SITE, SECRET } from '../support/prepared'
import { asked } from './list'

/**
 * Keeps what the application answers in a folder, or compares it with what was kept there, byte for byte: before and
 * after a change that must not be seen. `npx tsx tests/outputs/main.ts keep|compare FOLDER`, after `npm run build`.
 */
const [act, folder] = process.argv.slice(2)
if ((act !== 'keep' && act !== 'compare') || !folder) throw new Error('keep or compare, and a folder')

const now = new Date('2026-11-20T10:00:00Z')
const argon = { memoryCost: 1024, timeCost: 1 }
/** Ids and secrets that are the same in each run. */
const counted = (length: number, alphabet: string) => {
  let count = 0
  return () => {
    const hash = createHash('sha256').update(`${length} ${count++}`).digest()
    return Array.from({ length }, (_, i) => alphabet[hash[i % hash.length]! % alphabet.length]).join('')
  }
}
const newId = counted(16, '23456789abcdefghjkmnpqrstuvwxyz')
const newSecret = counted(43, 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789')

/** What differs without being a difference: ids by their first appearance, names of built files, one-time values. */
function comparable(text: string): string {
  const seen = new Map<string, string>()
  const named = (kind: string) => (found: string) => {
    if (!seen.has(found)) seen.set(found, `${kind}-${seen.size + 1}`)
    return seen.get(found)!
  }
  return (
    text
      .replace(/<script\b[\s\S]*?<\/script>/g, '')
      .replace(/<link rel="modulepreload"[^>]*>/g, '')
      .replace(/ nonce="[^"]*"/g, '')
      .replace(/(\/assets\/[\w.-]+?)-[\w-]{8}\.(js|css)/g, '$1.$2')
      .replace(/(\/behaviour\/\w+)[.-][\w-]+\.js/g, '$1.js')
      .replace(/[\d.]+ GB are free/g, '')
      // The end of a log's chain, which depends on ids.
      .replace(/\b[0-9a-f]{6}(?=<\/span><\/li>)/g, '')
      .replace(/\/media\/[0-9a-f]{32}/g, named('/media/picture'))
      .replace(/\b[a-zA-Z0-9_-]{43,}(?:\.[a-zA-Z0-9_-]{20,})*\b/g, named('secret'))
      .replace(/\b(?=[a-z]*\d)(?=\d*[a-z])[23456789abcdefghjkmnpqrstuvwxyz]{16}\b/g, named('id'))
  )
}

/** They differ, so that none is held as a copy of another. */
const bodies = {
  en: 'The hive went together in one afternoon, and the bees moved in.',
  de: 'Der Honig schmeckt nach Linden, und das Glas kam heil an.',
  fr: 'La combinaison est bien coupée, même si les gants sont un peu grands.',
  es: 'El ahumador enciende a la primera y no se apaga en toda la mañana.',
  it: 'Il corso del sabato mi ha tolto ogni paura di aprire l’arnia.',
}

const data = mkdtempSync(path.join(tmpdir(), 'elogio-outputs-'))
const { given } = sitesFor({ now }, FILLED_SITE)
await fillDemo(data, {
  publicUrl: 'http://localhost',
  siteUrl: FILLED_SITE,
  secret: SECRET,
  argon,
  now,
  given: { ...given, newId, newSecret },
})
await addLayouts()
const sent: string[] = []
const application = await startApplication(
  readConfig({
    PORT: '0',
    ELOGIO_DATA: data,
    PUBLIC_URL: 'http://localhost',
    ELOGIO_SECRET: SECRET,
    ELOGIO_THROTTLE: 'off',
  }),
  silentLog,
  {
    workersFor: inlineWorkers,
    argon,
    now: () => now,
    newId,
    newSecret,
    ...given,
    mailer: {
      through: 'mail.example',
      from: 'reviews@elogio.example',
      send: async ({ recipient, senderName, subject, text, html }) => {
        sent.push([`to ${recipient} from ${senderName}: ${subject}`, text, html].join('\n\n'))
      },
    },
  },
)
const url = `http://localhost:${application.port}`
await settled()

const outputs = new Map<string, string>()
const cookie = await signIn()
for (const { path: address, language, member } of asked) {
  const answer = await fetch(url + address, {
    headers: {
      ...(language && { 'Accept-Language': language }),
      ...(member && { Cookie: cookie }),
    },
  })
  const head = `${answer.status} ${answer.url.slice(url.length)} ${answer.headers.get('Content-Type') ?? ''}`
  outputs.set(`${address} ${language ?? ''}`.trim(), comparable(`${head}\n${await answer.text()}`))
}
for (const language of customerLanguages) await sendReview(language)
await settled()
sent.toSorted().forEach((mail, i) => outputs.set(`email ${i + 1}`, comparable(mail)))
await application.stop()
rmSync(data, { recursive: true, force: true })

const fileOf = (name: string) => path.join(folder, `${name.replace(/[^\w.=-]+/g, '_')}.txt`)
if (act === 'keep') {
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  for (const [name, text] of outputs) writeFileSync(fileOf(name), text)
  console.log(`${outputs.size} outputs are kept in ${folder}.`)
} else {
  const kept = new Set(readdirSync(folder))
  let different = 0
  for (const [name, text] of outputs) {
    const file = fileOf(name)
    kept.delete(path.basename(file))
    const before = existsSync(file) ? readFileSync(file, 'utf8') : null
    if (before === text) continue
    different++
    writeFileSync(`${file}.now`, text)
    const at = before === null ? 0 : [...text].findIndex((letter, i) => letter !== before[i])
    console.log(
      `${name}: ${before === null ? 'new' : `differs at ${at}: ${JSON.stringify(before.slice(at - 40, at + 80))} was, ${JSON.stringify(text.slice(at - 40, at + 80))} is`}`,
    )
  }
  for (const file of kept) if (file.endsWith('.txt')) console.log(`${file}: is missing now`)
  console.log(`${outputs.size} outputs, ${different} differ.`)
}
process.exit(0)

/** A published display in each layout. */
async function addLayouts(): Promise<void> {
  const db = await openDatabase(databaseFile(data))
  const shop = (await findShopBySlug(db, 'wrenfield'))!
  const { draft } = (await findDisplay(db, shop.id, { key: 'front-page' }))!
  const { configuration } = draft
  const [member] = await db('member').where({ email: owner.email })
  const services = buildServices({
    db,
    signingKey: Buffer.from(SECRET),
    publicUrl: 'http://localhost',
    mediaFolder: path.join(data, 'media'),
    now: () => now,
    newId,
    newSecret,
    ...given,
  })
  for (const kind of layouts) {
    const key = `tried-${kind.toLowerCase()}`
    const tried = {
      ...configuration,
      selection: { ...configuration.selection, limit: 6 },
      layout: {
        ...configuration.layout,
        kind,
        paging: kind === 'list' ? ('pages' as const) : ('none' as const),
      },
    }
    await db.transaction((trx) =>
      insertDisplay(trx, {
        shopId: shop.id,
        publicId: newId(),
        key,
        name: kind,
        configuration: tried,
        now: now.toISOString(),
      }),
    )
    await makeLive(services, shop, asMember({ id: member.id }), key)
  }
  await db.destroy()
}

/** Until no job is due or running. */
async function settled(): Promise<void> {
  for (let waiting = 1; waiting > 0;) {
    await new Promise((resolve) => setTimeout(resolve, 200))
    const due = await application.services
      .db('job')
      .whereRaw("(state = 'running' OR (state = 'due' AND due_at <= ?))", [now.toISOString()])
      .count({ count: '*' })
    waiting = Number(due[0]!.count)
  }
}

async function signIn(): Promise<string> {
  const answer = await fetch(`${url}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ email: owner.email, password: owner.password }),
  })
  return answer.headers
    .getSetCookie()
    .map((line) => line.split(';')[0]!)
    .join('; ')
}

/** A customer who has to confirm the address. */
async function sendReview(language: keyof typeof bodies): Promise<void> {
  const { token } = z.object({ token: z.string() }).parse(await (await fetch(`${url}/api/f/tell-us`)).json())
  const answer = await fetch(`${url}/api/f/tell-us`, {
    method: 'POST',
    headers: { 'Accept-Language': language },
    body: new URLSearchParams({
      token,
      rating: '5',
      body: bodies[language],
      author_name: `Ada Thorne ${language}`,
      author_email: `ada-${language}@post.example`,
      consent: 'on',
    }),
  })
  if (!answer.ok) throw new Error(`the review was refused: ${await answer.text()}`)
}
