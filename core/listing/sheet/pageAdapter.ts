import { walkHtml } from '../../site/walkHtml'
import type { Business, OriginAdapter, OriginAnswer, OriginReview } from '../originAdapter'
import { OriginRefusal } from '../originRefusal'
import { firstAddress } from '../pasted'
import { readLine, readStructuredPage, requireSuccess } from '../readAnswer'
import { PAGE } from './page'
import { guessMatching } from './guessMatching'
import { showsSomething, type SheetMatching } from '../matching'
import { sheetProblems } from './sheetProblems'
import { sheetReviews } from './sheetReviews'
import type { SheetSample } from '../sheetSample'
import { isCsv, readCsv, readHtmlTable, type SheetTable } from './sheetTable'
import { structuredReviews, type StructuredReviews } from './structuredReviews'

const SCALE = 5
const SAMPLE_ROWS = 5
const SAMPLE_CELL = 160
const MAX_ADDRESS = 2000

type Found = { title: string } & ({ table: SheetTable } | { marked: StructuredReviews })

/**
 * A published sheet (CSV or a table in a page), or a page with marked-up reviews. Its id is its address.
 * @param matching of the columns of a sheet; null for a page, or before they are matched
 */
export function pageAdapter(matching: SheetMatching | null = null, address = ''): OriginAdapter {
  return {
    origin: PAGE,
    name: 'Sheet or page',
    icon: 'M2 2h12v12H2zm1.500 4v2.500h3.500V6zm5 0v2.500h4V6zm-5 4v2.500h3.500V10zm5 0v2.500h4V10z',
    home: address,
    scale: SCALE,
    needs: 'nothing',
    callsAs: `${PAGE} ${hostOf(address)}`,
    checkMinutes: 5,
    matching,
    limits: { callsAMinute: 30, newestOnly: null },
    guide: {
      find: [
        'In your sheet, choose to publish or share it so that everybody who has the address can read it.',
        'Copy the address of the published sheet, as CSV or as a web page. A page with reviews works too.',
        'Paste it here. You choose which columns are shown.',
      ],
      accessKey: [],
    },
    recognise: (text) => {
      const id = pageAddress(text)
      return id ? { kind: 'listing', id } : null
    },
    suggest: () => ({ request: { url: address }, read: () => [] }),
    describe: (id) => ({ request: { url: id }, read: (answer) => business(id, found(id, answer), matching) }),
    page: (id) => ({
      request: { url: id },
      read: (answer) => {
        const given = found(id, answer)
        const reviews = reviewsOf(id, given, matching)
        return {
          reviews,
          next: null,
          count: reviews.length,
          numbers: numbersOf(given, reviews),
          ...('table' in given && matching && { problems: sheetProblems(given.table, matching) }),
        }
      },
    }),
    post: null,
  }
}

/** The address that a text is, as it is stored; null if it's something else, or can't be fetched. */
function pageAddress(text: string): string | null {
  const typed = firstAddress(text)
  if (!typed || typed.length > MAX_ADDRESS || typed.length <= text.trim().length / 2) return null
  const whole = /^https?:\/\//i.test(typed) ? typed : `https://${typed}`
  if (!URL.canParse(whole)) return null
  const url = new URL(whole)
  url.hash = ''
  return url.username || url.password ? null : url.href
}

const hostOf = (address: string) => (URL.canParse(address) ? new URL(address).host : '')

/** @throws OriginRefusal if the answer has no table and no marked-up reviews */
function found(address: string, answer: OriginAnswer): Found {
  // A page has no access key: it is public, or it can't be read.
  if (answer.status === 401 || answer.status === 403) throw new OriginRefusal('signedOut')
  requireSuccess(answer)
  if (isCsv(answer)) return { title: fileName(address), table: readCsv(answer.body) }
  const { data, asksToSignIn, isWhole } = readStructuredPage(answer)
  if (asksToSignIn) throw new OriginRefusal('signedOut')
  if (!isWhole) throw new OriginRefusal('unreadable')
  const title = titleOf(answer.body) || fileName(address)
  const marked = structuredReviews(address, data, answer.body)
  if (marked.reviews.length > 0) return { title, marked }
  const table = readHtmlTable(answer.body)
  if (!table) throw new OriginRefusal('noReviews')
  return { title, table }
}

function reviewsOf(address: string, found: Found, matching: SheetMatching | null): OriginReview[] {
  if ('marked' in found) return found.marked.reviews
  if (!matching) throw new OriginRefusal('columns')
  return sheetReviews(address, found.table, matching)
}

/** As the page states them; a sheet has as many reviews as rows that say something. */
const numbersOf = (found: Found, { length }: OriginReview[]) =>
  'marked' in found
    ? { average: found.marked.average, count: found.marked.count ?? length }
    : { average: null, count: length }

function business(address: string, found: Found, matching: SheetMatching | null): Business {
  const sheet = 'table' in found ? sampleOf(found.table) : undefined
  const shown = matching ?? (sheet && { ...sheet.guess, isDayFirst: true, timeZone: 'UTC' })
  const reviews = 'marked' in found || shown ? reviewsOf(address, found, shown ?? null) : []
  return {
    id: address,
    name: found.title,
    street: '',
    ...numbersOf(found, reviews),
    url: address,
    writeUrl: null,
    picture: null,
    isClosed: false,
    latest: reviews[0] ?? null,
    ...(sheet && { sheet }),
  }
}

function sampleOf(table: SheetTable): SheetSample {
  const guess = guessMatching(table)
  if (!showsSomething(guess)) throw new OriginRefusal('noReviews')
  const cut = (cell: string) => (cell.length > SAMPLE_CELL ? `${cell.slice(0, SAMPLE_CELL - 1)}…` : cell)
  return {
    headings: table.headings,
    rows: table.rows.slice(0, SAMPLE_ROWS).map((cells) => cells.map(cut)),
    guess,
  }
}

function titleOf(html: string): string {
  let title = ''
  let isTitle = false
  walkHtml(html, {
    open: (name) => {
      isTitle = name === 'title' && title === ''
    },
    close: () => {
      isTitle = false
    },
    text: (text) => {
      if (isTitle && title.length < 1000) title += text
    },
  })
  return readLine(title, 80)
}

/** "tasting-day.csv" as "tasting day". */
function fileName(address: string): string {
  const { host, pathname } = new URL(address)
  const file = pathname.split('/').filter(Boolean).at(-1) ?? ''
  const name = readLine(
    decoded(file)
      .replace(/\.\w{1,5}$/, '')
      .replace(/[-_+]+/g, ' '),
    80,
  )
  return name || host
}

function decoded(text: string): string {
  try {
    return decodeURIComponent(text)
  } catch {
    return text
  }
}
