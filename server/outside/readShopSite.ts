import { readSite, type SiteReading } from '../../core/site/readSite'
import { shopPicture } from '../media/picture'
import type { Services } from '../services'
import { TaskExhausted } from '../workers/workers'
import { decodeText } from './decodeText'
import { OutsideError, type FetchFailure, type OutsideAnswer, type OutsideLimits } from './fetchOutside'

type SiteOutcome =
  | { outcome: 'read'; url: string; reading: Omit<SiteReading, 'pictures'>; picture: string | null }
  | { outcome: 'failed'; failure: FetchFailure | 'complex'; status: number | null }

const MOST_SHEETS = 4
const MOST_PICTURES = 4
const MEGABYTE = 1_048_576

const page: Omit<OutsideLimits, 'allowedHosts'> = {
  mostBytes: 2 * MEGABYTE,
  withinMs: 8000,
  kinds: /^(text\/html|application\/xhtml\+xml)\b/i,
}
const sheet = { mostBytes: MEGABYTE, withinMs: 3000, kinds: /^text\/css\b/i }
const manifestFile = { mostBytes: MEGABYTE / 4, withinMs: 3000, kinds: /json|text\/plain|octet-stream/i }
const pictureFile = { mostBytes: 3 * MEGABYTE, withinMs: 3000, kinds: /^image\/|octet-stream/i }

/** Reads a shop's name, logo, colours, fonts and language from its site. Missing ones are left out. */
export async function readShopSite(services: Services, address: string): Promise<SiteOutcome> {
  const fetchOne = (url: string, limits: Omit<OutsideLimits, 'allowedHosts'>) =>
    services.fetchOutside(url, { ...limits, allowedHosts: services.allowedHosts })
  const ifThere = (url: string, limits: Omit<OutsideLimits, 'allowedHosts'>): Promise<OutsideAnswer | null> =>
    fetchOne(url, limits).catch(() => null)
  try {
    const answer = await fetchOne(withProtocol(address), page)
    const html = decodeText(answer.body, answer.contentType)
    const found = await services.workers.run('readPage', { html, url: answer.url })
    const [sheets, manifest] = await Promise.all([
      Promise.all(found.stylesheets.slice(0, MOST_SHEETS).map((url) => ifThere(url, sheet))),
      found.manifest ? ifThere(found.manifest, manifestFile) : null,
    ])
    const styles = [
      ...sheets.flatMap((one) => (one ? [decodeText(one.body, one.contentType)] : [])),
      found.css,
    ]
    const declarations = await services.workers.run('readStyles', { styles })
    const { pictures, ...reading } = readSite(
      found,
      declarations,
      manifest && { url: manifest.url, content: parsedJson(manifest.body) },
    )
    let picture: string | null = null
    for (const url of pictures.slice(0, MOST_PICTURES)) {
      const file = await ifThere(url, pictureFile)
      picture = file && (await shopPicture(file.body).catch(() => null))
      if (picture) break
    }
    return { outcome: 'read', url: answer.url, reading, picture }
  } catch (error) {
    if (error instanceof OutsideError)
      return { outcome: 'failed', failure: error.failure, status: error.status }
    if (error instanceof TaskExhausted) return { outcome: 'failed', failure: 'complex', status: null }
    throw error
  }
}

/** "wrenfield.example" means https; local hosts mean http. */
function withProtocol(address: string): string {
  const typed = address.trim()
  if (/^[a-z][a-z0-9+.-]*:\/\//i.test(typed)) return typed
  return `${/^(localhost|127\.)/.test(typed) ? 'http' : 'https'}://${typed}`
}

function parsedJson(body: Buffer): unknown {
  try {
    return JSON.parse(body.toString('utf8'))
  } catch {
    return null
  }
}
