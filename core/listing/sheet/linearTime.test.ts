import { expect, test } from 'vitest'
import { expectLinear, repeated } from '../../../tests/support/linearTime'
import { OriginRefusal } from '../originRefusal'
import { pageAdapter } from './pageAdapter'

const ADDRESS = 'https://sheets.example/a'

/** Whatever it is, it is read or refused. */
function read(contentType: string, body: string): void {
  try {
    const answer = { status: 200, retryAfter: null, url: ADDRESS, contentType, body }
    const { sheet } = pageAdapter().describe(ADDRESS, '').read(answer)
    const matching = sheet ? { ...sheet.guess, isDayFirst: true, timeZone: 'UTC' } : null
    pageAdapter(matching).page(ADDRESS, null, '').read(answer)
  } catch (error) {
    expect(error).toBeInstanceOf(OriginRefusal)
  }
}

const csv = (part: string) => (length: number) => `Name,Stars,Review\n${repeated(part)(length)}`
const inPage =
  (part: string, before = '', after = '') =>
  (length: number) =>
    `<html><body>${before}${repeated(part)(length)}${after}</body></html>`
const data = '<script type="application/ld+json">'

test.each<[string, string, (length: number) => string]>([
  ['rows', 'text/csv', csv('Ida,4,Good and solid\n')],
  ['rows with a quotation mark out of place', 'text/csv', csv('Ida,4,Good "and" solid\n')],
  ['quotation marks', 'text/csv', csv('"')],
  ['separators', 'text/csv', csv(',')],
  ['one long cell', 'text/csv', csv('x')],
  ['ratings of digits and signs', 'text/csv', csv('9/,9/9/9/9/9/9/9/9/9 of of of,x\n')],
  ['tables in tables', 'text/html', inPage('<table><tr><td>')],
  ['tables', 'text/html', inPage('<table><tr><th>a</th></tr><tr><td>x</td></tr></table>')],
  ['rows of a table', 'text/html', inPage('<tr><td>x<td>y', '<table>')],
  ['nested data', 'text/html', inPage('{"a":', data, '</script>')],
  [
    'marked-up reviews',
    'text/html',
    inPage('{"@type":"Review","reviewBody":"y"},', `${data}[`, '0]</script>'),
  ],
  ['items in items', 'text/html', inPage('<i itemscope itemprop=review itemtype=Review>')],
  ['properties in properties', 'text/html', inPage('<i itemprop=a>xxxxxx', '<i itemscope itemtype=Review>')],
  ['classes', 'text/html', inPage('<i class="h-review"><i class="e-content">x</i></i>')],
])('reading %s takes time in proportion to their length', (_, contentType, hostile) => {
  expectLinear((text) => read(contentType, text), hostile, 60_000)
})
