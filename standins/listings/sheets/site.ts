import type { Faults } from '../faults'
import { html, text, type Asked, type Reply, type Site } from '../site'
import { answers, headings } from './answers'

const DAY_MS = 86_400_000

/**
 * Published sheets: answers of a survey as CSV and as a table in a page, a large one, and a page with marked-up
 * reviews. New rows come at the bottom.
 */
export function sheets(home: string, on: Faults, start: Date): Site {
  const stamp = (daysAgo: number, i: number) => {
    const at = new Date(start.getTime() - daysAgo * DAY_MS - i * 47 * 60_000)
    const two = (number: number) => String(number).padStart(2, '0')
    return `${two(at.getUTCDate())}/${two(at.getUTCMonth() + 1)}/${at.getUTCFullYear()} ${two(at.getUTCHours())}:${two(at.getUTCMinutes())}:09`
  }
  const survey = (): string[][] => {
    const rows = answers
      .map(([daysAgo, ...cells], i) => [stamp(daysAgo, i), ...cells.map(String)])
      .toReversed()
    const newest = rows.at(-1)!
    if (on.has('changed')) newest[4] = `${newest[4]} And the smell of the wax.`
    if (on.has('withdrawn')) rows.pop()
    if (on.has('added'))
      rows.push([stamp(0, 0), 'Primrose Hale', 'primrose@hale.example', '5', 'The queen walking over my thumb.', 'Heather', 'Yes', 'A friend brought me']) // oxfmt-ignore
    if (on.has('scripts')) newest[4] = `<script>document.title="mine"</script>${newest[4]}`
    return on.has('emptied') ? [] : rows
  }
  const columns = () => (on.has('renamed') ? headings.with(4, 'What stayed with you?') : headings)
  const pages = new Map<string, () => Reply>([
    ['/tasting-day.csv', () => csv([columns(), ...survey()])],
    ['/tasting-day', () => tablePage(columns(), survey())],
    ['/harbour.csv', () => csv([['Date', 'Name', 'Stars', 'Review'], ...many()])],
    ['/guestbook', guestbook],
  ])
  return {
    home,
    businesses: () => [],
    answer: ({ path }: Asked) => pages.get(path)?.() ?? { status: 404, body: 'No such sheet' },
  }
}

const csv = (rows: string[][]): Reply => ({
  status: 200,
  headers: { 'Content-Type': 'text/csv; charset=utf-8', 'Cache-Control': 'no-store' },
  body: rows.map((cells) => cells.map(quoted).join(',')).join('\r\n'),
})

const quoted = (cell: string) => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell)

const tablePage = (columns: string[], rows: string[][]): Reply =>
  html(
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Tasting afternoon, answers</title></head><body><table><thead><tr>${columns.map((one) => `<th>${text(one)}</th>`).join('')}</tr></thead><tbody>${rows
      .map((cells) => `<tr>${cells.map((cell) => `<td>${text(cell)}</td>`).join('')}</tr>`)
      .join('')}</tbody></table></body></html>`,
  )

function many(): string[][] {
  const things = ['rope', 'lamp', 'kettle', 'anchor', 'tarpaulin', 'compass', 'bucket']
  return Array.from({ length: 5000 }, (_, i) => {
    const day = new Date(Date.UTC(2024, 0, 1) + (i % 900) * DAY_MS).toISOString().slice(0, 10)
    return [day, `Sailor ${i}`, String((i % 5) + 1), `The ${things[i % 7]} number ${i} is still in use.`]
  })
}

const guestbook = () =>
  html(`<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Guest book of the honey room</title></head><body><main itemscope itemtype="https://schema.org/LocalBusiness"><h1 itemprop="name">The honey room</h1>
<div itemprop="aggregateRating" itemscope itemtype="https://schema.org/AggregateRating"><span itemprop="ratingValue">9.2</span> of <span itemprop="bestRating">10</span> from <span itemprop="reviewCount">31</span></div>
<div itemprop="review" itemscope itemtype="https://schema.org/Review"><p itemprop="reviewBody">We came for ten minutes and stayed for two pots of tea.</p><span itemprop="author" itemscope itemtype="https://schema.org/Person"><b itemprop="name">Corin Tate</b></span><time itemprop="datePublished" datetime="2026-10-11">11 October</time><span itemprop="reviewRating" itemscope itemtype="https://schema.org/Rating"><meta itemprop="bestRating" content="10"><b itemprop="ratingValue">9</b></span></div>
<div itemprop="review" itemscope itemtype="https://schema.org/Review"><p itemprop="reviewBody">The comb on toast. That is all.</p><b itemprop="author">Liesl Brandt</b><time itemprop="datePublished" datetime="2026-09-02">2 September</time></div>
</main></body></html>`)
