import { readLabelled } from '../../bench/labelled/read'
import { issueFormToken } from '../../server/collection/formToken'
import { databaseFile, signingKey } from '../../server/dataFolder'
import { openDatabase } from '../../server/data/database'
import { HOLD_CROWD } from '../../server/moderation/reviewGroups'
import type { Running } from './application'
import { SECRET } from './prepared'

const json = { Accept: 'application/json' }
const LOOKING_MS = 50
/** As long as a person takes to write a few words. */
const WRITING_MS = 60_000

/** A fresh token of a form. */
export async function formToken(url: string, slug: string): Promise<string> {
  const answer = await fetch(`${url}/f/${slug}`, { headers: json })
  return ((await answer.json()) as { token: string }).token
}

/** Sends one review through a form's JSON side. */
export function submit(url: string, slug: string, fields: Record<string, string>): Promise<Response> {
  return fetch(`${url}/f/${slug}`, {
    method: 'POST',
    headers: json,
    body: new URLSearchParams({
      rating: '4',
      body: 'It does what it should.',
      author_name: 'Sam Post',
      author_email: 'sam@post.example',
      consent: 'on',
      ...fields,
    }),
  })
}

/**
 * Sends as many as wanted, one after the other, so that they arrive in their order, each written in a minute; waits for
 * the jobs that look at them together.
 */
export async function sendSeveral(
  { url, dataFolder }: Running,
  slug: string,
  count: number,
  fieldsOf: (i: number) => Record<string, string>,
): Promise<void> {
  const db = await openDatabase(databaseFile(dataFolder))
  const form = await db('form').where({ slug }).first<{ id: string }>({ id: 'public_id' })
  for (let i = 0; i < count; i++) {
    const opened = new Date(Date.now() - WRITING_MS)
    const token = issueFormToken(signingKey(dataFolder, SECRET), form.id, `several${i}`, opened)
    const answer = await submit(url, slug, { token, ...fieldsOf(i) })
    if (answer.status !== 201) throw new Error(`${answer.status}: ${await answer.text()}`)
  }
  const crowds = () => db('job').where({ kind: HOLD_CROWD }).whereIn('state', ['due', 'running']).first('id')
  while (await crowds()) await new Promise((resolve) => setTimeout(resolve, LOOKING_MS))
  await db.destroy()
}

/** What forty different people wrote, from the labelled set. */
const people = readLabelled().filter(
  ({ kind, language }) =>
    language === 'en' && ['plain', 'angry', 'price', 'trade', 'misspelt'].includes(kind),
)
export const variedSentence = (i: number): string => people[i % people.length]!.body
