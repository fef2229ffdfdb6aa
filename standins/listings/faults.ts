import { html, json, type Asked, type Business, type Reply } from './site'

/** How a site can misbehave, and what its control page says of it. */
export const faults = {
  slow: 'Answers after 20 seconds',
  tooMany: 'Says 429, without saying how long to wait',
  tooManyWait: 'Says 429 and asks to wait two minutes',
  broken: 'Says 500',
  signedOut: 'Shows a page for signing in',
  keyWithdrawn: 'Refuses the access key',
  nonsense: 'Answers with nonsense',
  half: 'Sends half of each page',
  layout: 'Has changed the layout of its pages',
  endless: 'Has a next page for ever',
  emptied: 'Shows no reviews at all',
  changed: 'The newest review says something else',
  added: 'A new review has arrived',
  withdrawn: 'The newest review is withdrawn',
  moved: 'The newest review has moved to the second business',
  renamed: 'The business is renamed',
  closed: 'The business is closed',
  noStreet: 'The business has no street',
  twin: 'A second business has the same name',
  longName: 'The name has 10,000 characters',
  comma: 'The average is written with a comma',
  scripts: 'The words and names hold scripts',
  rightToLeft: 'Names turn the direction of the text',
  redirect: 'Redirects to a private address',
  huge: 'Sends 50 megabytes',
} as const
export type Fault = keyof typeof faults

export type Faults = Set<Fault>

const MEGABYTE = 1_048_576

/** The businesses as the faults make them. */
export function withFaults(businesses: Business[], on: Faults, now: string): Business[] {
  // The faults touch only the first two, and the generated ones are large.
  const [first, second] = structuredClone(businesses.slice(0, 2))
  if (!first) return []
  const others = second ? [second, ...businesses.slice(2)] : []
  const newest = first.opinions[0]
  if (newest && on.has('changed')) newest.text = `${newest.text} Edited: still true a week later.`
  if (newest && on.has('scripts')) {
    newest.name = '<script>document.title="mine"</script>'
    newest.text = `<img src=x onerror="document.title='mine'">${newest.text}</script><script>document.title="mine"</script>`
  }
  if (newest && on.has('rightToLeft')) newest.name = `\u202e${newest.name}`
  if (newest && on.has('moved')) others[0]?.opinions.unshift(newest)
  if (on.has('withdrawn') || on.has('moved')) first.opinions.shift()
  if (on.has('added'))
    first.opinions.unshift({
      ...first.opinions[0]!,
      id: `${first.id.toLowerCase().slice(0, 6)}fresh`,
      name: 'Primrose Hale',
      text: 'Only opened my parcel this morning, and the frames are straight as rulers.',
      at: now,
    })
  if (on.has('emptied')) first.opinions = []
  if (on.has('renamed')) first.name = `${first.name} & Daughters`
  if (on.has('closed')) first.closed = true
  if (on.has('noStreet')) first.street = ''
  if (on.has('longName')) first.name = `${first.name} ${'of the very long lane '.repeat(500)}`
  const twin = { ...first, id: `${first.id.slice(0, -1)}9`, street: 'Harbour Row 88', opinions: [] }
  return on.has('twin') ? [first, twin, ...others] : [first, ...others]
}

/** What a site says before it looks at what it was asked; null if it works. */
export function refusal(on: Faults, { path }: Asked): Reply | null {
  if (/\.svg$/.test(path)) return null
  if (on.has('tooMany')) return { status: 429, body: 'Too many' }
  if (on.has('tooManyWait')) return { status: 429, headers: { 'Retry-After': '120' }, body: 'Too many' }
  if (on.has('broken')) return { status: 500, body: 'Something went wrong' }
  if (on.has('signedOut'))
    return html('<!doctype html><html><body><form>Sign in <input type="password"></form></body></html>')
  if (on.has('keyWithdrawn')) return json({ error: 'This access was withdrawn.' }, 403)
  if (on.has('nonsense')) return html('\u0000\u0001 beep }{ <<<>>> ')
  if (on.has('layout')) return html('<!doctype html><html><body><main>All new!</main></body></html>')
  if (on.has('redirect')) return { status: 302, headers: { Location: 'http://127.0.0.1:1/' }, body: '' }
  if (on.has('huge'))
    return { status: 200, headers: { 'Content-Type': 'text/html' }, body: Buffer.alloc(50 * MEGABYTE, ' ') }
  return null
}

/** What becomes of a reply that has been made. */
export function spoilt(on: Faults, reply: Reply): Reply {
  if (!on.has('half') || typeof reply.body !== 'string') return reply
  return { ...reply, body: reply.body.slice(0, reply.body.length / 2) }
}
